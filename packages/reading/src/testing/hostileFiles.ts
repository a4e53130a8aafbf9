import type { HostileFile } from './hostileFile';
import { HOSTILE_DXF } from './hostileDxf';
import { HOSTILE_PDF } from './hostilePdf';
import { HOSTILE_SVG } from './hostileSvg';

export const HOSTILE_FILES: readonly HostileFile[] = [...HOSTILE_DXF, ...HOSTILE_SVG, ...HOSTILE_PDF];
