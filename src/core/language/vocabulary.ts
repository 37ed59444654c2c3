import { inflectionCandidates } from './inflections.ts';
import { fold, normalOfFolded } from './normal.ts';
import { isFunctionWord } from './stop-words.ts';
import { syllablesOf } from './syllables.ts';
import { syntaxClassOf } from './syntax-classes.ts';

/**
 * Every distinct word of a session, read once: id, folded form, normal form, inflection candidates, syllables.
 * Ids are dense and stable for the life of the vocabulary. Keep one per session.
 */
export class Vocabulary {
  /** By the word as written, and by its folded form. */
  private readonly numbers = new Map<string, number>();
  private readonly forms: string[] = [];
  private readonly normals: (string | undefined)[] = [];
  private readonly candidateLists: (string[] | undefined)[] = [];
  private readonly syllableCounts: number[] = [];
  private readonly functionFlags: boolean[] = [];
  private readonly syntaxClasses: (number | undefined)[] = [];

  get size(): number {
    return this.forms.length;
  }

  /** The id of a word as written; words that differ only in case or apostrophe share one. */
  idOf(surface: string): number {
    const seen = this.numbers.get(surface);
    if (seen !== undefined) return seen;
    const form = fold(surface);
    if (form === surface) return this.add(form);
    const id = this.numbers.get(form) ?? this.add(form);
    this.numbers.set(surface, id);
    return id;
  }

  private add(form: string): number {
    const id = this.forms.length;
    this.forms.push(form);
    // Lists without holes are read fastest.
    this.normals.push(undefined);
    this.candidateLists.push(undefined);
    this.syntaxClasses.push(undefined);
    this.syllableCounts.push(0);
    this.functionFlags.push(isFunctionWord(form));
    this.numbers.set(form, id);
    return id;
  }

  /** The folded form. */
  form(id: number): string {
    return this.forms[id];
  }

  normal(id: number): string {
    let normal = this.normals[id];
    if (normal === undefined) {
      normal = normalOfFolded(this.forms[id]);
      this.normals[id] = normal;
    }
    return normal;
  }

  candidates(id: number): string[] {
    let list = this.candidateLists[id];
    if (!list) {
      list = inflectionCandidates(this.normal(id));
      this.candidateLists[id] = list;
    }
    return list;
  }

  /** The kind of word by which sentences are told from lists of words. */
  syntaxClass(id: number): number {
    let kind = this.syntaxClasses[id];
    if (kind === undefined) {
      kind = syntaxClassOf(this.forms[id]);
      this.syntaxClasses[id] = kind;
    }
    return kind;
  }

  isFunction(id: number): boolean {
    return this.functionFlags[id];
  }

  syllables(id: number): number {
    if (this.syllableCounts[id] === 0) this.syllableCounts[id] = syllablesOf(this.forms[id]);
    return this.syllableCounts[id];
  }
}
