export function interfaceTemplate(): string;
export function readTranslation(text: string): {
  language: string;
  words: Map<string, string>;
  problems: string[];
};
