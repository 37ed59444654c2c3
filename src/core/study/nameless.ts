/** Numbers written as words, small words of denial, months and words of no subject: they stand everywhere and name nothing. */
export const NAMELESS: ReadonlySet<string> = new Set(
  (
    'one two three four five six seven eight nine ten eleven twelve fifteen twenty thirty forty fifty hundred thousand half ' +
    'no not none without vs versus against first second third once twice way thing lot bit kind sort many much more most every ' +
    'each everything nothing something anything everybody nobody somebody put let time day minute hour january february ' +
    'march april may june july august september october november december year kg km cm mm'
  ).split(' '),
);
