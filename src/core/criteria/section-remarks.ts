import type { SectionFacts } from './section-facts.ts';

/** Sections below this share of the middle one's words are thin. */
const THIN = 0.35;
/** Sections of which the thin ones can be told. */
const TOLD_BY = 3;
/** Words from which a section without list, picture or link is bare. */
const BARE_FROM = 180;
/** Reading ease below the wished by which a section is hard, and the words from which that is told. */
const HARDER_BY = 5;
const HARD_FROM = 40;

/** What stands out in each section: thin, hard or bare, or a figure without a source. */
export function sectionRemarks(sections: readonly SectionFacts[], easeFrom: number): string[][] {
  const lengths = sections.map(({ words }) => words).sort((a, b) => a - b);
  const middle = lengths[Math.floor(lengths.length / 2)] ?? 0;
  return sections.map(
    ({ words, easeOnFlesch: ease, links, pictures, scanPoints, openClaims, heading }, at) => {
      const isParent =
        words === 0 && sections[at + 1] !== undefined && sections[at + 1].level > sections[at].level;
      const remarks: string[] = [];
      if (words === 0 && heading && !isParent) remarks.push('Empty: nothing stands below its heading.');
      else if (sections.length >= TOLD_BY && !isParent && words < THIN * middle)
        remarks.push('Thin beside the others.');
      if (ease !== null && words >= HARD_FROM && ease < easeFrom - HARDER_BY)
        remarks.push('Harder to read than wished.');
      if (words >= BARE_FROM && links + pictures + scanPoints === 0)
        remarks.push('Bare: no list, picture or link.');
      if (openClaims > 0)
        remarks.push(
          openClaims === 1 ? 'A figure without a source.' : `${openClaims} figures without a source.`,
        );
      return remarks;
    },
  );
}
