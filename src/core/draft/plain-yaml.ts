/** A value that YAML's core schema reads as it stands: words, or a date. */
const WORD = String.raw`[A-Za-z](?:[\w /.,'()-]*[\w.)])?`;
const DATE = String.raw`\d{4}-\d\d-\d\d(?:T\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:\d\d)?)?`;
const ITEM = String.raw`[A-Za-z](?:[\w /.-]*\w)?`;
const LINE = new RegExp(`^([A-Za-z][\\w-]*): (?:(${WORD}|${DATE})|\\[(${ITEM}(?:, ${ITEM})*)\\])$`);
/** Words that are no words there. */
const OTHERWISE = /^(?:true|false|null|yes|no|on|off|y|n)$/i;

/**
 * Front matter of plain lines, read without taking YAML apart: most of it is that, and folders have thousands. Null where a
 * single line is anything else; then YAML's own reader has to look.
 *
 * @example
 * plainYaml('title: Low water\ntags: [tides, mud]'); // title -> 'Low water', tags -> ['tides', 'mud']
 * plainYaml('title: "Low water"'); // null
 */
export function plainYaml(yaml: string): Map<string, unknown> | null {
  const data = new Map<string, unknown>();
  for (const line of yaml.split('\n')) {
    if (line === '') continue;
    const [, name, word, list] = LINE.exec(line) ?? [];
    if (name === undefined || data.has(name) || OTHERWISE.test(name)) return null;
    const items = list?.split(', ') ?? [word];
    if (items.some((item) => OTHERWISE.test(item))) return null;
    data.set(name, list === undefined ? word : items);
  }
  return data.size > 0 ? data : null;
}
