import type { Cell, Design } from '@mendrel/core';
import { DESIGN_VERSION, RULED_FRAME } from '@mendrel/core';
import { beginDesign, caption, cell, divided, field, id, pair, practice, WRAPPED } from './pieces';

const table = {
  kind: 'table',
  rows: 0,
  captionRole: 'caption',
  valueRole: 'value-small',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
} as const;

/** Every sheet of the project with its scale and its revision; more sheets than rows are set smaller. */
const index = (): Cell =>
  cell('Sheets', {
    ...table,
    id: id('content'),
    table: 'index',
    title: 'Sheets',
    columns: [
      { heading: 'Sheet', shows: '{sheet.number}', width: '3*' },
      { heading: 'Title', shows: '{sheet.title}', width: '13*' },
      { heading: 'Scale', shows: '{sheet.scale}', width: '3*' },
      { heading: 'Rev', shows: '{sheet.revision}', width: '2*' },
    ],
    rowHeight: '6 mm',
    heading: 'top',
    more: 'smaller',
    growing: true,
    onlyFilled: true,
  });

/** Who works on the project, and how to reach them. */
const contacts = (): Cell =>
  cell('Who is who', {
    ...table,
    id: id('content'),
    table: 'contacts',
    title: 'Who is who',
    columns: [
      { heading: 'Discipline', shows: '{row.discipline}', width: '3*' },
      { heading: 'Firm', shows: '{row.firm}', width: '5*' },
      { heading: 'Phone', shows: '{row.phone}', width: '3*' },
    ],
    rowHeight: '7 mm',
    heading: 'none',
    more: 'first',
  });

/** Areas by their groups with totals, as they are measured from the plans. */
const areas = (): Cell =>
  cell('Areas', {
    ...table,
    id: id('content'),
    table: 'areas',
    title: 'Areas',
    columns: [
      { heading: 'Area', shows: '{row.name}', width: '8*' },
      { heading: 'Size', shows: '{row.area}', width: '3*' },
    ],
    rowHeight: '5 mm',
    heading: 'none',
    more: 'smaller',
    growing: true,
    onlyFilled: true,
  });

/** The cover of a set: what the project is, every sheet of it, and who works on it. */
export function coverSheet(): Design {
  beginDesign();
  const root = divided(
    'Cover',
    'rows',
    [
      { fixed: '62 mm' },
      { share: 1 },
      { fixed: '76 mm' },
      { fixed: '40 mm' },
      { fixed: '46 mm' },
      { fixed: '34 mm' },
      { fixed: 'round(cover * 0.13, 1 mm)' },
    ],
    [
      practice(),
      index(),
      areas(),
      contacts(),
      cell(
        'Project',
        caption('Project'),
        field('{project.name}', 'number', WRAPPED),
        field('{project.address}', 'value', WRAPPED),
      ),
      pair(
        'Client and phase',
        cell(
          'Client',
          caption('Client'),
          field('{project.client}', 'value', WRAPPED),
          field('{project.clientAddress}', 'notes', WRAPPED),
        ),
        cell(
          'Phase',
          caption('Phase'),
          field('{project.phase}', 'title', WRAPPED),
          field('[Issued {sheet.issueDate}, {sheet.issuePurpose}]', 'value-small'),
        ),
      ),
      pair(
        'Number and title',
        cell('Sheet number', caption('Sheet number'), field('{sheet.number}', 'number')),
        cell(
          'Sheet title',
          caption('Sheet title'),
          field('{sheet.title}', 'title', WRAPPED),
          field('{sheet.position} of {set.count}[, Rev {sheet.revision}]', 'value-small'),
        ),
      ),
    ],
  );
  return {
    format: 'mendrel-design',
    version: DESIGN_VERSION,
    name: 'Quay cover',
    unit: 'mm',
    sizes: [
      { size: 'ISO A0', orientation: 'landscape' },
      { size: 'ISO A1', orientation: 'landscape' },
    ],
    dimensions: [{ name: 'cover', formula: '240 mm', bySize: { 'ISO A0': '300 mm' } }],
    frame: RULED_FRAME,
    panels: [
      {
        id: 'panel-1',
        name: 'Cover',
        dock: 'right',
        width: 'cover',
        outlinePen: 'outline',
        dividerPen: 'divider',
        root,
      },
    ],
    loose: [],
    modules: { columns: 4, rows: 3 },
  };
}
