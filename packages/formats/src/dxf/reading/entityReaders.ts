import { hatch, image, solid } from './areaReaders';
import type { DxfEntity, DxfInsert } from './document';
import { arc, ellipse, face, heavyPolyline, lightPolyline, line, spline } from './lineReaders';
import { newBase, NO_MORE, nextOwn, passOverRest } from './ownPairs';
import { mtext, text } from './textReaders';
import type { DxfTokens } from './tokens';

const attribute = text('ATTRIB');

const emptyInsert = (line: number): DxfInsert => ({
  type: 'INSERT',
  block: '',
  x: 0,
  y: 0,
  scaleX: 1,
  scaleY: 1,
  rotation: 0,
  columns: 1,
  rows: 1,
  columnSpacing: 0,
  rowSpacing: 0,
  attributes: [],
  layer: '0',
  line,
  paperSpace: false,
});

function insert(tokens: DxfTokens): DxfInsert {
  const read = emptyInsert(tokens.line);
  let follow = false;
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    if (code === 2) read.block = tokens.text().trim();
    else if (code === 10) read.x = tokens.number();
    else if (code === 20) read.y = tokens.number();
    else if (code === 41) read.scaleX = tokens.number();
    else if (code === 42) read.scaleY = tokens.number();
    else if (code === 50) read.rotation = tokens.number();
    else if (code === 66) follow = tokens.number() === 1;
    else if (code === 70) read.columns = Math.max(1, tokens.number());
    else if (code === 71) read.rows = Math.max(1, tokens.number());
    else if (code === 44) read.columnSpacing = tokens.number();
    else if (code === 45) read.rowSpacing = tokens.number();
  }
  while (follow && tokens.next()) {
    if (tokens.is('ATTRIB')) read.attributes.push(attribute(tokens));
    else if (tokens.is('SEQEND')) {
      passOverRest(tokens, newBase(tokens));
      break;
    } else {
      tokens.hold();
      break;
    }
  }
  return read;
}

/** DIMENSION: what it looks like stands in a block of its own, in the place where it belongs. */
function dimension(tokens: DxfTokens): DxfInsert {
  const read = emptyInsert(tokens.line);
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    if (code === 2) read.block = tokens.text().trim();
  }
  delete read.extrusion;
  return read;
}

export type EntityReader = (tokens: DxfTokens) => DxfEntity;

/** The kinds of entities that are read, each with its reader; the reader starts after the pair that names the kind. */
export const ENTITY_READERS: ReadonlyMap<string, EntityReader> = new Map<string, EntityReader>([
  ['LINE', line],
  ['LWPOLYLINE', lightPolyline],
  ['POLYLINE', heavyPolyline],
  ['ARC', arc],
  ['ELLIPSE', ellipse],
  ['SPLINE', spline],
  ['3DFACE', face],
  ['CIRCLE', arc],
  ['SOLID', solid],
  ['TRACE', solid],
  ['HATCH', hatch],
  ['IMAGE', image],
  ['TEXT', text('TEXT')],
  ['ATTDEF', text('ATTDEF')],
  ['MTEXT', mtext],
  ['INSERT', insert],
  ['DIMENSION', dimension],
]);

/** Passes over an entity of a kind that is not read. @returns its layer */
export function passOver(tokens: DxfTokens): string {
  return passOverRest(tokens, newBase(tokens)).layer;
}
