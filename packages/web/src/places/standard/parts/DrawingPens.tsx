import type { DrawingPen, OfficeStandard } from '@mendrel/core';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, readNumber, words } from '../table/columns';
import { freshId, useStandardEdit } from '../useStandardEdit';

const columns = (standard: OfficeStandard): Column<DrawingPen>[] => [
  words(
    { key: 'layers', name: 'Layers', width: 190 },
    (row) => row.layers,
    (row, layers) => ({ ...row, layers }),
  ),
  words(
    { key: 'weight', name: 'Width in the drawing', width: 150 },
    (row) => (row.weight === undefined ? '' : String(row.weight)),
    (row, text) => {
      const any = { ...row };
      delete any.weight;
      return text.trim() === '' ? any : { ...any, weight: readNumber(text, 'a width', [0.01, 5]) };
    },
  ),
  words(
    { key: 'colour', name: 'Colour in the drawing', width: 150 },
    (row) => (row.colour === undefined ? '' : String(row.colour)),
    (row, text) => {
      const any = { ...row };
      delete any.colour;
      return text.trim() === '' ? any : { ...any, colour: Math.round(readNumber(text, 'a colour', [1, 255])) };
    },
  ),
  choices(
    { key: 'pen', name: 'Pen', width: 150 },
    (row) => row.pen,
    (row, pen) => ({ ...row, pen }),
    () => standard.pens.map(({ id, name }) => ({ value: id, label: name })),
  ),
];

/** The pens that drawings of views are drawn with, by their layers. */
export function DrawingPens() {
  const { standard, change, problemsIn } = useStandardEdit();
  const rows = standard.drawingPens ?? [];
  return (
    <TableCard
      title="Pens of drawings in views"
      about="By layer, the first row that matches; * stands for any letters, as in A-WALL*. A width in mm, or the number of a colour in DXF, takes only lines that have it in the drawing. Lines of other layers are as wide as they are drawn."
      add="Add a row"
      empty="None yet: lines of views are as wide as in their drawings."
      path="drawingPens"
      caption="Pens of drawings in views"
      columns={columns(standard)}
      rows={rows}
      idOf={(row) => row.id}
      nameOf={(row) => row.layers}
      problems={problemsIn('drawingPens')}
      onChange={(next, field) => change({ drawingPens: next.length === 0 ? undefined : [...next] }, field)}
      fresh={(all): DrawingPen => ({
        id: freshId(all, 'drawing-pen'),
        layers: '*',
        pen: standard.pens[0]?.id ?? '',
      })}
    />
  );
}
