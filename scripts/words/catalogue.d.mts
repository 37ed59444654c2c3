export function interfaceTemplate(): string;
export function readTranslation(text: string): {
  language: string;
  words: Map<string, string>;
  things: Map<string, [one: string, more: string]>;
  problems: string[];
};
