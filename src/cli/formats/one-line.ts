/** A text on one line and without characters that steer a terminal: what it says cannot look like a line of the report. */
export const oneLine = (text: string): string =>
  text
    .replace(/[\s\u0085]+/g, ' ')
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters in question
    .replace(/[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '');
