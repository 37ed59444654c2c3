export function isInterface(path: string): boolean;
export function interfaceFiles(root: string): string[];
