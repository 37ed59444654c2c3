import { parseXml, XmlElement, type XmlNode, XmlText } from '@rgrove/parse-xml';
import { UnreadableFile } from '../draft/index.ts';

export type { XmlElement };

/**
 * The root element of an XML text. Document types are passed over, so that no entity can grow; entities that are not
 * XML's own stay as written. Throws {@link UnreadableFile}.
 */
export function xmlRoot(text: string): XmlElement {
  try {
    const { root } = parseXml(text.trimStart(), { ignoreUndefinedEntities: true });
    if (root) return root;
  } catch (error) {
    if (error instanceof RangeError)
      throw new UnreadableFile('cannot be read: its elements are nested too deeply.');
    const line = (error as { line?: number }).line;
    throw new UnreadableFile(
      `cannot be read: its XML is broken${line ? ` at line ${line}` : ''}. Fetch it again, or save it as it came.`,
    );
  }
  throw new UnreadableFile('cannot be read: it is empty.');
}

/** The name without its prefix. */
export const localName = (element: XmlElement): string => element.name.replace(/^.*:/, '');

/** Child elements, all or those of a name (with its prefix, or without where the name has none). */
export const elementsOf = (parent: XmlElement, name?: string): XmlElement[] =>
  parent.children.filter(
    (child): child is XmlElement =>
      child instanceof XmlElement &&
      (name === undefined || (name.includes(':') ? child.name : localName(child)) === name),
  );

/** The trimmed text of the first child element of a name; empty where there is none. */
export const textOfChild = (parent: XmlElement, name: string): string =>
  elementsOf(parent, name)[0]?.text.trim() ?? '';

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');

/** Elements inside XML (XHTML) as HTML markup; it still has to be read as markup from outside. */
export function innerMarkup(element: XmlElement): string {
  const write = (node: XmlNode): string => {
    if (node instanceof XmlText) return escaped(node.text);
    if (!(node instanceof XmlElement)) return '';
    const name = localName(node);
    const attributes = Object.entries(node.attributes)
      .map(([key, value]) => ` ${key}="${escaped(value)}"`)
      .join('');
    return `<${name}${attributes}>${node.children.map(write).join('')}</${name}>`;
  };
  return element.children.map(write).join('');
}
