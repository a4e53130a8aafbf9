import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { SheetSize, WorkingUnit } from '@mendrel/core';
import {
  edgeRatio,
  formatLength,
  frameOf,
  frameRuleFor,
  LEAST_EDGE,
  MOST_EDGE,
  SHEET_SIZES,
  sizeOutlines,
  sizesOf,
  zonesOf,
} from '@mendrel/core';
import { PlainTable } from '../../../app/PlainTable';
import { useTypefaces } from '../../../app/typefaces';
import { Card } from '../../../app/Card';
import { Specimen } from '../Specimen';
import { Split } from '../Split';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, lengths, plainOptions, ticks, words } from '../table/columns';
import { freshName, useStandardEdit } from '../useStandardEdit';

/** An own size while it is edited: its place in the table is what stays the same. */
type Row = SheetSize & { at: string };

const COLUMNS: Column<Row>[] = [
  words(
    { key: 'name', name: 'Name', width: 150 },
    (row) => row.name,
    (row, name) => ({ ...row, name }),
  ),
  choices(
    { key: 'unit', name: 'Unit', width: 62 },
    (row) => row.unit,
    (row, unit) => ({ ...row, unit: unit === 'in' ? 'in' : 'mm' }),
    () => plainOptions(['mm', 'in']),
  ),
  lengths(
    { key: 'width', name: 'Width', width: 92 },
    (row) => row.width,
    (row, width) => ({ ...row, width }),
    (row) => row.unit,
    [LEAST_EDGE, MOST_EDGE],
  ),
  lengths(
    { key: 'height', name: 'Height', width: 92 },
    (row) => row.height,
    (row, height) => ({ ...row, height }),
    (row) => row.unit,
    [LEAST_EDGE, MOST_EDGE],
  ),
  choices(
    { key: 'model', name: 'Frame as', width: 104 },
    (row) => row.model ?? '',
    ({ model: _model, ...row }, model) => (model === '' ? row : { ...row, model }),
    () => [{ value: '', label: 'Own sizes' }, ...SHEET_SIZES.map(({ name }) => ({ value: name, label: name }))],
  ),
  ticks(
    { key: 'roll', name: 'From a roll', width: 40 },
    (row) => row.roll,
    (row, roll) => ({ ...row, roll }),
  ),
];

const withoutPlace = ({ at: _at, ...size }: Row): SheetSize => size;

/** Sheet sizes: those that ship and the office's own, as outlines over each other. */
export function Sizes() {
  const { standard, change, problemsIn } = useStandardEdit();
  const typefaces = useTypefaces();
  const [chosen, setChosen] = useState('ISO A1');
  const rows = standard.sizes.map((size, i): Row => ({ ...size, at: String(i) }));
  const own = rows.find((row) => row.at === chosen);
  const current = own ?? SHEET_SIZES.find((size) => size.name === chosen) ?? SHEET_SIZES[1];
  const drawing = useMemo(() => {
    const all = sizesOf(standard).filter((size) => Math.max(size.width, size.height) >= 297);
    // Outlines of one series, an own size's that of its model, and of the office's sizes: enough to see a wrong figure.
    const model = SHEET_SIZES.find((size) => size.name === current?.model);
    const shown = all.filter((size) => size.series === (model ?? current)?.series || size.series === 'Office');
    return sizeOutlines(
      current ? [...shown.filter((size) => size.name !== current.name), current] : shown,
      current?.name,
      typefaces,
    );
  }, [standard, current, typefaces]);
  const fresh = (all: readonly Row[], from: SheetSize): Row => ({
    ...from,
    series: 'Office',
    roll: false,
    model: from.model ?? from.name,
    name: freshName([...all, ...SHEET_SIZES], `Own ${from.name}`),
    at: String(all.length),
  });
  const makeFrom = (size: SheetSize): void => {
    change({ sizes: [...standard.sizes, withoutPlace(fresh(rows, size))] });
    setChosen(String(rows.length));
  };
  return (
    <Split
      beside={
        <Card title="To scale, over each other" about={current ? sizeInWords(current) : ''}>
          <Specimen drawing={drawing} label={`Outlines of sheet sizes, ${current?.name ?? ''} marked`} bare />
        </Card>
      }
    >
      <TableCard
        title="The office’s own sizes"
        about="In mm or inches, as the sheet usually lies. A size from a roll is as wide as the roll and as long as you like."
        path="sizes"
        caption="Own sheet sizes"
        columns={COLUMNS}
        rows={rows}
        idOf={(row) => row.at}
        nameOf={(row) => row.name}
        problems={problemsIn('sizes')}
        onChange={(next, field) => change({ sizes: next.map(withoutPlace) }, field)}
        fresh={(all) => fresh(all, SHEET_SIZES[1] ?? standard.sizes[0] ?? NO_SIZE)}
        chosen={chosen}
        onChoose={setChosen}
        empty="No own sizes yet. Choose the nearest shipped one below and make your own from it."
      />
      <Card
        title="Sizes that ship"
        about="ISO 216, ASME Y14.1 and the architectural series. They cannot be changed."
        action={
          current ? (
            <Button variant="outlined" size="small" onClick={() => makeFrom(current)}>
              Make an own size from {current.name}
            </Button>
          ) : null
        }
      >
        <PlainTable
          tight
          caption="Sizes that ship"
          headings={['Size', 'Trimmed', 'Drawing space', 'Zones', 'Frame rule']}
        >
          {SHEET_SIZES.map((size) => {
            const rule = frameRuleFor(size, standard.frameRules);
            const frame = frameOf(size, rule.margins);
            const zones = zonesOf(size, frame, rule.zones);
            return (
              <Box
                component="tr"
                key={size.name}
                sx={{ bgcolor: size.name === chosen ? 'office.accentGround' : undefined }}
              >
                <th scope="row">
                  <Button
                    size="small"
                    aria-pressed={size.name === chosen}
                    onClick={() => setChosen(size.name)}
                    sx={{ minHeight: 24, py: 0, px: 1.5, mx: -1.5, justifyContent: 'flex-start' }}
                  >
                    {size.name}
                  </Button>
                </th>
                <td>{pair(size.width, size.height, size.unit)}</td>
                <td>{pair(frame.width, frame.height, size.unit)}</td>
                <td>{rule.zones.shown ? `${zones.columns.length} × ${zones.rows.length}` : 'none'}</td>
                <td>{rule.name}</td>
              </Box>
            );
          })}
        </PlainTable>
        <Typography sx={{ color: 'text.secondary', mt: 2 }}>
          Zones are counted in fields along the width and the height.
        </Typography>
      </Card>
    </Split>
  );
}

const NO_SIZE: SheetSize = { name: '', series: 'Office', width: 841, height: 594, unit: 'mm', roll: false };

const pair = (width: number, height: number, unit: WorkingUnit): string =>
  `${formatLength(width, unit)} × ${formatLength(height, unit, true)}`;

const sizeInWords = (size: SheetSize): string => {
  const other = size.unit === 'mm' ? 'in' : 'mm';
  const converted = pair(round(size.width), round(size.height), other);
  const ratio = `edges ${edgeRatio(size).toFixed(3)} : 1`;
  return `${size.name}: ${pair(size.width, size.height, size.unit)}${other === 'mm' ? `, ${converted}` : ''}, ${ratio}`;
};
const round = (mm: number): number => Math.round(mm * 100) / 100;
