import { toast } from 'sonner';
import { download } from './download.ts';

/** Into the clipboard; a browser that refuses it (over plain http) gets a file instead. */
export async function copyText(
  text: string,
  said: string,
  fileName: string,
  type = 'text/plain',
): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    toast(said);
  } catch {
    download(fileName, text, type);
    toast('The browser does not let this page copy here: saved as a file instead.');
  }
}
