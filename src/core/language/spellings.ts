/** Everyday words that are written in two ways on two sides of an ocean; they count as one word. */
export const SPELLINGS: ReadonlyMap<string, string> = new Map(
  (
    'tire:tyre liter:litre milliliter:millilitre meter:metre kilometer:kilometre centimeter:centimetre millimeter:millimetre ' +
    'center:centre color:colour gray:grey aluminum:aluminium favorite:favourite neighbor:neighbour harbor:harbour ' +
    'flavor:flavour odor:odour fiber:fibre theater:theatre traveler:traveller jewelry:jewellery mold:mould plow:plough ' +
    'pajama:pyjama catalog:catalogue license:licence defense:defence'
  )
    .split(' ')
    .map((pair) => pair.split(':') as [string, string]),
);

const BRITISH = new Set(SPELLINGS.values());

/** A form with those words spelled as a model spells them that can be spelled in two ways: "flat tire" after "tyre" is "flat tyre". */
export function spelledLike(form: string, model: string): string {
  const wanted = new Set(
    model
      .toLowerCase()
      .split(/[^a-z]+/)
      .map((word) => word.replace(/s$/, ''))
      .filter((word) => BRITISH.has(word)),
  );
  if (wanted.size === 0) return form;
  return form.replace(/[a-z]+/gi, (word) => {
    const plural = /s$/i.test(word) ? word.slice(-1) : '';
    const other = SPELLINGS.get(word.slice(0, word.length - plural.length));
    return other !== undefined && wanted.has(other) ? other + plural : word;
  });
}
