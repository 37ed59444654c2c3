export function shownText(raw: string): string;
export function messagesOf(fileName: string, source: string): string[];
export function countedIn(fileName: string, source: string): [one: string, more: string][];
export function rewritten(
  fileName: string,
  source: string,
  put: (message: string) => string,
  putCounted?: (one: string, more: string) => [one: string, more: string],
): string;
