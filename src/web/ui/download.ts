/** Hands a file to the reader's browser. */
export function download(name: string, content: Blob | string, type = 'text/plain'): void {
  const url = URL.createObjectURL(
    typeof content === 'string' ? new Blob([content], { type: `${type};charset=utf-8` }) : content,
  );
  const anchor = document.createElement('a');
  anchor.href = url;
  anchor.download = name;
  anchor.click();
  setTimeout(() => URL.revokeObjectURL(url), 30_000);
}
