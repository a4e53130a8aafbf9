import type { DxfBlock, DxfDocument, DxfEntity } from './document';
import { ENTITY_READERS, passOver } from './entityReaders';
import { isBinaryDxf, textOfBinary } from './binary';
import { DxfError, DxfTokens } from './tokens';

/** More entities than this are refused, so that a hostile file cannot fill the memory. */
const MOST_ENTITIES = 3_000_000;
/** More blocks than this are refused; large drawings have a few thousand. */
/** Names of picture files that are kept. */
const MOST_IMAGE_FILES = 1000;
const MOST_BLOCKS = 200_000;

/** Line types that are kept, and lengths of one of them. */
const MOST_LINE_TYPES = 10_000;
const MOST_DASHES = 40;

/** Encodings by the names of code pages; ANSI_1250 to ANSI_1258 are named the same way. */
const CODE_PAGES: Record<string, string> = {
  ANSI_874: 'windows-874',
  ANSI_932: 'shift_jis',
  ANSI_936: 'gbk',
  ANSI_949: 'euc-kr',
  ANSI_950: 'big5',
  ANSI_1361: 'euc-kr',
  DOS866: 'ibm866',
  'UTF-8': 'utf-8',
};
for (let page = 1250; page <= 1258; page++) CODE_PAGES[`ANSI_${page}`] = `windows-${page}`;
/** From this version on every DXF file is written in UTF-8. */
const FIRST_UTF8 = 'AC1021';

/** How many entities are read before it is told how far the reading is. */
const TOLD_EVERY = 8192;

/**
 * Reads a DXF file, text or binary.
 * @param tell takes the part of the file that was read, from 0 to 1, now and then
 * @throws DxfError with the line, for anything that is not a whole, sound DXF file
 */
export function readDxf(bytes: Uint8Array, tell?: (part: number) => void): DxfDocument {
  const tokens = new DxfTokens(isBinaryDxf(bytes) ? textOfBinary(bytes) : bytes);
  const document: DxfDocument = {
    version: '',
    layers: new Map(),
    blocks: new Map(),
    lineTypes: new Map(),
    lineTypeScale: 1,
    layouts: new Map(),
    imageFiles: new Map(),
    entities: [],
    counts: new Map(),
    unread: new Map(),
  };
  const records = new Map<string, string>();
  let sections = 0;
  while (tokens.next()) {
    if (tokens.code === 999) continue;
    if (tokens.code !== 0) throw new DxfError(tokens.line, `expected a section, found group code ${tokens.code}`);
    if (tokens.is('EOF')) {
      if (sections === 0) throw new DxfError(tokens.line, 'the file has no sections');
      return document;
    }
    if (!tokens.is('SECTION'))
      throw new DxfError(tokens.line, `expected a section, found "${tokens.text().slice(0, 30)}"`);
    sections++;
    if (!tokens.next() || !tokens.has(2)) throw new DxfError(tokens.line, 'a section has no name');
    const name = tokens.text().trim();
    if (name === 'HEADER') readHeader(tokens, document);
    else if (name === 'TABLES') readTables(tokens, document, records);
    else if (name === 'BLOCKS') readBlocks(tokens, document, tell);
    else if (name === 'ENTITIES') readEntities(tokens, document, document.entities, 'ENDSEC', tell);
    else if (name === 'OBJECTS') readObjects(tokens, document, records);
    else skipSection(tokens);
  }
  throw new DxfError(Math.max(1, tokens.line), 'the file is cut off: its end mark (EOF) is missing');
}

const cutOff = (tokens: DxfTokens, within: string): DxfError =>
  new DxfError(tokens.line, `the file is cut off in its ${within}`);

function skipSection(tokens: DxfTokens): void {
  while (tokens.next()) if (tokens.code === 0 && tokens.is('ENDSEC')) return;
  throw cutOff(tokens, 'sections');
}

function readHeader(tokens: DxfTokens, document: DxfDocument): void {
  let variable = '';
  while (tokens.next()) {
    if (tokens.code === 0 && tokens.is('ENDSEC')) return;
    if (tokens.code === 9) variable = tokens.text().trim();
    else if (variable === '$LTSCALE' && tokens.code === 40) document.lineTypeScale = tokens.number() || 1;
    else if (variable === '$ACADVER' && tokens.code === 1) {
      document.version = tokens.text().trim();
      if (document.version >= FIRST_UTF8) tokens.setEncoding('utf-8');
    } else if (variable === '$DWGCODEPAGE' && tokens.code === 3) {
      const encoding = CODE_PAGES[tokens.text().trim().toUpperCase()];
      if (encoding && document.version < FIRST_UTF8) tokens.setEncoding(encoding);
    } else if (variable === '$INSUNITS' && tokens.code === 70) document.insertUnits = tokens.number();
  }
  throw cutOff(tokens, 'header');
}

/** @param records takes the names of blocks by the handles of their records */
function readTables(tokens: DxfTokens, document: DxfDocument, records: Map<string, string>): void {
  let inLayer = false;
  let [inRecord, handle] = [false, ''];
  let name = '';
  let [flags, colour] = [0, 7];
  let lineWeight: number | undefined;
  let lineType: string | undefined;
  let dashes: number[] | undefined;
  const keep = (): void => {
    // The lengths of a pattern are positive for dashes, negative for gaps, and nothing for dots.
    if (dashes && dashes.length >= 2 && name !== '' && document.lineTypes.size < MOST_LINE_TYPES)
      document.lineTypes.set(name.toUpperCase(), dashes.map(Math.abs));
    if (!inLayer || name === '') return;
    document.layers.set(name.toUpperCase(), {
      name,
      colour: Math.abs(colour),
      hidden: (flags & 1) === 1 || colour < 0,
      frozen: (flags & 1) === 1,
      ...(lineWeight !== undefined ? { lineWeight } : {}),
      ...(lineType !== undefined ? { lineType } : {}),
    });
  };
  while (tokens.next()) {
    if (tokens.code === 0) {
      keep();
      if (tokens.is('ENDSEC')) return;
      inLayer = tokens.is('LAYER');
      inRecord = tokens.is('BLOCK_RECORD');
      handle = '';
      [name, flags, colour, lineWeight, lineType] = ['', 0, 7, undefined, undefined];
      dashes = tokens.is('LTYPE') ? [] : undefined;
    } else if (inRecord) {
      if (tokens.code === 5) handle = tokens.text().trim();
      else if (tokens.code === 2 && records.size < MOST_BLOCKS) records.set(handle, tokens.text().trim().toUpperCase());
    } else if (dashes) {
      if (tokens.code === 2) name = tokens.text().trim();
      else if (tokens.code === 49 && dashes.length < MOST_DASHES) dashes.push(tokens.number());
    } else if (inLayer) {
      if (tokens.code === 2) name = tokens.text().trim();
      else if (tokens.code === 70) flags = tokens.number();
      else if (tokens.code === 62) colour = tokens.number();
      else if (tokens.code === 6) lineType = tokens.name().toUpperCase();
      else if (tokens.code === 370) {
        const hundredths = tokens.number();
        if (hundredths >= 0) lineWeight = hundredths / 100;
      }
    }
  }
  throw cutOff(tokens, 'tables');
}

/** The names of page layouts and where what stands on them is kept, and the names of picture files. */
function readObjects(tokens: DxfTokens, document: DxfDocument, records: ReadonlyMap<string, string>): void {
  let [kind, part, name, record, handle] = ['', '', '', '', ''];
  const keep = (): void => {
    if (name === '') return;
    const block = records.get(record);
    if (kind === 'LAYOUT' && block !== undefined) document.layouts.set(block, name);
    if (kind === 'IMAGEDEF' && document.imageFiles.size < MOST_IMAGE_FILES) document.imageFiles.set(handle, name);
  };
  while (tokens.next()) {
    if (tokens.code === 0) {
      keep();
      if (tokens.is('ENDSEC')) return;
      kind = tokens.is('LAYOUT') ? 'LAYOUT' : tokens.is('IMAGEDEF') ? 'IMAGEDEF' : '';
      [part, name, record, handle] = ['', '', '', ''];
    } else if (kind === '') continue;
    else if (tokens.code === 100) part = tokens.text().trim();
    else if (tokens.code === 5) handle = tokens.text().trim();
    else if (tokens.code === 1 && (kind === 'IMAGEDEF' || part === 'AcDbLayout')) name = tokens.text().trim();
    else if (part === 'AcDbLayout' && tokens.code === 330) record = tokens.text().trim();
  }
  throw cutOff(tokens, 'objects');
}

function readBlocks(tokens: DxfTokens, document: DxfDocument, tell?: (part: number) => void): void {
  while (tokens.next()) {
    if (tokens.code !== 0) continue;
    if (tokens.is('ENDSEC')) return;
    if (document.blocks.size >= MOST_BLOCKS) throw new DxfError(tokens.line, `the file has over ${MOST_BLOCKS} blocks`);
    if (tokens.is('BLOCK')) readBlock(tokens, document, tell);
  }
  throw cutOff(tokens, 'blocks');
}

function readBlock(tokens: DxfTokens, document: DxfDocument, tell?: (part: number) => void): void {
  const block: DxfBlock = { name: '', base: [0, 0], entities: [] };
  while (tokens.next()) {
    if (tokens.code === 0) {
      tokens.hold();
      readEntities(tokens, document, block.entities, 'ENDBLK', tell);
      document.blocks.set(block.name.toUpperCase(), block);
      return;
    }
    if (tokens.code === 2) block.name = tokens.text().trim();
    else if (tokens.code === 10) block.base[0] = tokens.number();
    else if (tokens.code === 20) block.base[1] = tokens.number();
  }
  throw cutOff(tokens, `block ${block.name}`);
}

function readEntities(
  tokens: DxfTokens,
  document: DxfDocument,
  into: DxfEntity[],
  end: string,
  tell?: (part: number) => void,
): void {
  let seen = 0;
  for (const count of document.counts.values()) seen += count;
  while (tokens.next()) {
    if (tokens.code !== 0) continue;
    if (tokens.is(end)) return;
    const kind = tokens.name();
    if (kind === 'ENDSEC' || kind === 'EOF') {
      throw new DxfError(tokens.line, `found ${kind} where ${end} was expected; the file is damaged here`);
    }
    if (++seen % TOLD_EVERY === 0) tell?.(tokens.part);
    if (seen > MOST_ENTITIES) throw new DxfError(tokens.line, `the file has over ${MOST_ENTITIES} entities`);
    document.counts.set(kind, (document.counts.get(kind) ?? 0) + 1);
    const read = ENTITY_READERS.get(kind);
    if (read) into.push(read(tokens));
    else {
      const layer = passOver(tokens);
      const key = `${layer}\u0000${kind}`;
      document.unread.set(key, (document.unread.get(key) ?? 0) + 1);
    }
  }
  throw cutOff(tokens, end === 'ENDSEC' ? 'entities' : 'blocks');
}
