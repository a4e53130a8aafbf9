import type { DxfCommon } from './document';
import type { DxfTokens } from './tokens';
import { DxfError } from './tokens';

/** Group codes that several kinds of entities share. */
const LAYER = 8;
const PAPER_SPACE = 67;
const LINE_WEIGHT = 370;
const COLOUR = 62;
const LINE_TYPE = 6;
const INVISIBLE = 60;
const EXTRUSION = [210, 220, 230];
/** What follows belongs to an object inside of the entity, with group codes of its own. */
const EMBEDDED = 101;

export const newBase = (tokens: DxfTokens): DxfCommon => ({ layer: '0', line: tokens.line, paperSpace: false });

/** What `nextOwn` gives when the entity is at its end. */
export const NO_MORE = 0;

/**
 * Goes to the next pair of an entity that its kind knows itself; `base` takes those that all kinds share on the way.
 * @returns the group code, or NO_MORE at the next code 0, which is held
 */
export function nextOwn(tokens: DxfTokens, base: DxfCommon): number {
  while (tokens.next()) {
    const { code } = tokens;
    if (code === 0) {
      tokens.hold();
      const { extrusion } = base;
      if (extrusion && extrusion[0] === 0 && extrusion[1] === 0 && extrusion[2] > 0) delete base.extrusion;
      return NO_MORE;
    }
    // Most pairs are coordinates and lengths, which are no pairs that all kinds share.
    if (code >= 10 && code < INVISIBLE) return code;
    if (code === EMBEDDED) passOverEmbedded(tokens);
    else if (!readShared(tokens, code, base)) return code;
  }
  throw new DxfError(tokens.line, 'the file is cut off in the middle of an entity');
}

/** Passes over the rest of an entity. */
export function passOverRest(tokens: DxfTokens, base: DxfCommon): DxfCommon {
  while (nextOwn(tokens, base) !== NO_MORE);
  return base;
}

function passOverEmbedded(tokens: DxfTokens): void {
  while (tokens.next()) {
    if (tokens.code !== 0) continue;
    tokens.hold();
    return;
  }
}

/** @returns whether the pair is one that all kinds share */
function readShared(tokens: DxfTokens, code: number, base: DxfCommon): boolean {
  if (code === LAYER) base.layer = tokens.name();
  else if (code === PAPER_SPACE) base.paperSpace = tokens.number() === 1;
  else if (code === LINE_WEIGHT) {
    const hundredths = tokens.number();
    if (hundredths >= 0) base.lineWeight = hundredths / 100;
  } else if (code === COLOUR) {
    const colour = tokens.number();
    if (colour > 0 && colour < 256) base.colour = colour;
  } else if (code === LINE_TYPE) {
    const name = tokens.name().toUpperCase();
    if (name !== 'BYLAYER' && name !== 'BYBLOCK') base.lineType = name;
  } else if (code === INVISIBLE) {
    if (tokens.number() === 1) base.invisible = true;
  } else if (EXTRUSION.includes(code)) {
    base.extrusion ??= [0, 0, 0];
    base.extrusion[EXTRUSION.indexOf(code)] = tokens.number();
  } else return false;
  return true;
}
