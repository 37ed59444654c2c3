/** A heading without its number and its marks: "3. Tyres", "Step 3: tyres" and "2.1.4 Tyres #" are about tyres. */
export const bareHeading = (heading: string): string =>
  heading
    .replace(/[\s¶§#]+$/u, '')
    .replace(
      /^(?:(?:step|chapter|part|section|appendix|day|tip|stage)\s+)?(?:\d+(?:\.\d+)*|[A-Z](?:\.\d+)+)[.):]*\s+(?=\S)/i,
      '',
    )
    .replace(/^\*+|\*+$/g, '')
    .trim() || heading;
