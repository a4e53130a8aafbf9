import { SaxesParser } from 'saxes';

/** An element of an XML file, or the text in one. */
export interface XmlNode {
  type: 'element' | 'text';
  /** Empty for text. */
  name: string;
  /** The text; empty for elements. */
  value: string;
  attributes: Record<string, string>;
  children: XmlNode[];
}

/** An XML file that is not well-formed, with the line where that shows. */
export class XmlError extends Error {
  override name = 'XmlError';
}

/** Elements may stand this deep in one another. */
const MOST_DEPTH = 500;

/**
 * Reads an XML file as a tree. Entities that a file defines itself are neither followed nor put in: they stay as written.
 * @throws XmlError for what is not well-formed, or has more than `most` elements
 */
export function xmlTree(text: string, most: number): XmlNode {
  const parser = new SaxesParser({ position: true });
  const root: XmlNode = element('', {});
  const open = [root];
  let count = 0;
  const add = (node: XmlNode): void => void open.at(-1)?.children.push(node);
  const addText = (value: string): void =>
    add({ type: 'text', name: '', value, attributes: Object.create(null) as Record<string, string>, children: [] });
  parser.on('error', (error) => {
    // An entity of the file's own stays as it stands there.
    if (/undefined entity/.test(error.message)) return;
    const words = error.message.replace(/^\d+:\d+: /, '').replace(/\.$/, '');
    throw new XmlError(`line ${parser.line}: ${words}`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (++count > most) throw new XmlError(`it has more than ${most} elements`);
    if (open.length > MOST_DEPTH) throw new XmlError(`its elements stand more than ${MOST_DEPTH} deep in one another`);
    // Without namespaces, which are not asked for, attributes are plain text.
    const node = element(name, attributes as Record<string, string>);
    add(node);
    open.push(node);
  });
  parser.on('closetag', () => void open.pop());
  parser.on('text', addText);
  parser.on('cdata', addText);
  parser.write(text.trimStart()).close();
  const first = root.children.find(({ type }) => type === 'element');
  if (!first) throw new XmlError('it has no element');
  return first;
}

function element(name: string, attributes: Record<string, string>): XmlNode {
  return { type: 'element', name, value: '', attributes, children: [] };
}
