/** How a command speaks: what it answers, and what went wrong on the way. */
export interface Voice {
  out: (text: string) => void;
  warn: (line: string) => void;
}
