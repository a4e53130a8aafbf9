import type { ContentKind } from '@mendrel/core';
import { barCodes } from './BarCodeEditor';
import { codes } from './CodeEditor';
import { captions, fields } from './TextEditor';
import type { EditedKind } from './editing';
import { keyPlans } from './KeyPlanEditor';
import { notes } from './NotesEditor';
import { pictures } from './PictureEditor';
import { scaleBars } from './ScaleBarEditor';
import { signings } from './SigningEditor';
import { symbols } from './SymbolEditor';
import { tables } from './TableEditor';
import { tickBoxes } from './TickBoxesEditor';

/** How each kind of content is edited, in the order in which they are offered. */
const EDITED: { readonly [Kind in ContentKind]: EditedKind<Kind> } = {
  caption: captions,
  field: fields,
  picture: pictures,
  notes,
  table: tables,
  symbol: symbols,
  scaleBar: scaleBars,
  keyPlan: keyPlans,
  ticks: tickBoxes,
  code: codes,
  barCode: barCodes,
  signing: signings,
};

export const EDITED_KINDS = Object.keys(EDITED) as readonly ContentKind[];

/** How a kind of content is edited; that it is given contents of its own kind is the caller's to keep. */
export const editedKind = (kind: ContentKind): EditedKind<ContentKind> => EDITED[kind];
