import Button from '@mui/material/Button';
import type { LinePattern, OfficeStandard, Pen } from '@mendrel/core';
import { lineSpecimen, nearestLineWidth } from '@mendrel/core';
import { Specimen } from '../Specimen';
import { FailedDownloadNotice, useDownloads } from '../../../app/download';
import { TableCard } from '../TableCard';
import { DrawingPens } from './DrawingPens';
import type { Column } from '../table/columns';
import { choices, EntryError, lengths, readNumber, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const PEN_COLUMNS: Column<Pen>[] = [
  words(
    { key: 'name', name: 'Pen', width: 150 },
    (pen) => pen.name,
    (pen, name) => ({ ...pen, name }),
  ),
  lengths(
    { key: 'width', name: 'Width in mm', width: 90 },
    (pen) => pen.width,
    (pen, width) => ({ ...pen, width }),
    () => 'mm',
    [0.05, 5],
  ),
  words(
    { key: 'colour', name: 'Colour', width: 90 },
    (pen) => pen.colour,
    (pen, colour) => ({ ...pen, colour: colour.toLowerCase() }),
    (text) => {
      if (!/^#[0-9a-f]{6}$/i.test(text)) throw new EntryError('a colour is written #rrggbb; black is #000000');
    },
  ),
];

function readDashes(text: string): number[] {
  const parts = text.split(/[\s;]+|,\s+/).filter((part) => part !== '');
  if (parts.length % 2 !== 0) throw new EntryError('dashes and gaps come in pairs, such as 12 3 for a dash and a gap');
  return parts.map((part) => readNumber(part, 'a dash or a gap', [0, 500]));
}

const PATTERN_COLUMNS: Column<LinePattern>[] = [
  words(
    { key: 'name', name: 'Pattern', width: 170 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  words(
    { key: 'dashes', name: 'Dash, gap, dash, gap …', width: 170 },
    (each) => each.dashes.join(' '),
    (each, text) => ({ ...each, dashes: readDashes(text) }),
  ),
  choices(
    { key: 'in', name: 'Counted in', width: 110 },
    (each) => each.in,
    (each, unit) => ({ ...each, in: unit === 'mm' ? 'mm' : 'widths' }),
    () => [
      { value: 'widths', label: 'line widths' },
      { value: 'mm', label: 'mm on paper' },
    ],
  ),
];

/** Pens and line patterns with their specimens. */
export function Lines() {
  const { standard, change, problemsIn } = useStandardEdit();
  const downloads = useDownloads();
  const [middle] = standard.pens;
  return (
    <>
      <FailedDownloadNotice {...downloads} />
      <TableCard
        title="Pens"
        about="Line widths on paper; the series of ISO 128 is 0.13, 0.18, 0.25, 0.35, 0.5, 0.7, 1, 1.4 and 2 mm."
        add="Add a pen"
        action={
          <Button
            size="small"
            disabled={downloads.fetching !== undefined}
            onClick={() => void downloads.download('/api/standard/specimen.pdf', 'The specimen sheet')}
          >
            Specimen sheet as PDF
          </Button>
        }
        path="pens"
        caption="Pens"
        columns={PEN_COLUMNS}
        rows={standard.pens}
        idOf={(pen) => pen.id}
        nameOf={(pen) => pen.name}
        problems={problemsIn('pens')}
        onChange={(pens, field) => change({ pens }, field)}
        least={1}
        fresh={(rows) => ({
          id: freshId(rows, 'pen'),
          name: freshName(rows, 'New pen'),
          width: nearestLineWidth((rows.at(-1)?.width ?? 0.25) * Math.SQRT2),
          colour: '#000000',
        })}
        extra={{
          name: 'At true size',
          width: 350,
          of: (pen) => (
            <Specimen drawing={lineSpecimen(pen, undefined)} label={`A line in ${pen.name}`} trueSize bare />
          ),
        }}
      />
      <DrawingPens />
      <TableCard
        title="Line patterns"
        about="Dashes are on paper, equally long at every scale of view. ISO 128 counts them in line widths. A dash of 0 is a dot."
        add="Add a pattern"
        path="patterns"
        caption="Line patterns"
        columns={PATTERN_COLUMNS}
        rows={standard.patterns}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problemsIn('patterns')}
        onChange={(patterns, field) => change({ patterns }, field)}
        least={1}
        fresh={(rows): LinePattern => ({
          id: freshId(rows, 'pattern'),
          name: freshName(rows, 'New pattern'),
          dashes: [6, 3],
          in: 'widths',
        })}
        extra={{
          name: `In ${(penFor(standard) ?? middle)?.name ?? 'a pen'}, at true size`,
          width: 350,
          of: (each) => {
            const pen = penFor(standard) ?? middle;
            return pen ? (
              <Specimen drawing={lineSpecimen(pen, each)} label={`A line in ${each.name}`} trueSize bare />
            ) : null;
          },
        }}
      />
    </>
  );
}

/** A pen of middling width, in which patterns are shown. */
const penFor = (standard: OfficeStandard): Pen | undefined =>
  standard.pens.find((pen) => pen.width >= 0.3 && pen.width <= 0.5);
