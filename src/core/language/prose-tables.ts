import { followingMost, followingSteps, followings } from './generated/followings.ts';
import { de } from './generated/prose/de.ts';
import { es } from './generated/prose/es.ts';
import { fr } from './generated/prose/fr.ts';
import { it } from './generated/prose/it.ts';
import { nl } from './generated/prose/nl.ts';
import { pt } from './generated/prose/pt.ts';
import { sv } from './generated/prose/sv.ts';
import { proseClasses } from './prose-classes.ts';
import { SYNTAX_CLASSES } from './syntax-classes.ts';
import type { Vocabulary } from './vocabulary.ts';

/** How the words of a language follow each other. */
export interface ProseTable {
  classes: number;
  /** For each two kinds of words the logarithm of how much oftener one follows the other than by chance. */
  follows: Float32Array;
  kindOf(vocabulary: Vocabulary, id: number): number;
}

const COUNTED = new Map(Object.entries({ de, es, fr, it, nl, pt, sv }));

const decoded = (coded: string, classes: number): Float32Array =>
  Float32Array.from(
    { length: classes * classes },
    (_, at) => (coded.charCodeAt(at) - 40) / followingSteps - followingMost,
  );

function tableOf(code: string): ProseTable | null {
  if (code === 'en')
    return {
      classes: SYNTAX_CLASSES,
      follows: decoded(followings, SYNTAX_CLASSES),
      kindOf: (vocabulary, id) => vocabulary.syntaxClass(id),
    };
  const counted = COUNTED.get(code);
  if (!counted) return null;
  const { classes, classOf } = proseClasses(code, counted.grammar.split(' '), counted.endings.split(' '));
  // A word's kind does not change: it is looked up once for each vocabulary.
  const known = new WeakMap<Vocabulary, number[]>();
  return {
    classes,
    follows: decoded(counted.followings, classes),
    kindOf(vocabulary, id) {
      let kinds = known.get(vocabulary);
      if (!kinds) {
        kinds = [];
        known.set(vocabulary, kinds);
      }
      kinds[id] ??= classOf(vocabulary.form(id));
      return kinds[id];
    },
  };
}

const tables = new Map<string, ProseTable | null>();

/** How the words of a language (its code as in `matchingOf`) follow each other; null where that was not counted. */
export function proseTable(code: string): ProseTable | null {
  let table = tables.get(code);
  if (table === undefined) {
    table = tableOf(code);
    tables.set(code, table);
  }
  return table;
}
