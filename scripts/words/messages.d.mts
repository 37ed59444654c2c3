export function shownText(raw: string): string;
export function messagesOf(fileName: string, source: string): string[];
export function rewritten(fileName: string, source: string, put: (message: string) => string): string;
