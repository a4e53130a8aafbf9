import { useMemo, useState } from 'react';
import type { DimensionLettering, OfficeStandard } from '@mendrel/core';
import {
  dimensionFigures,
  dimensionSpecimen,
  figuresOnOneLine,
  formatLength,
  FRACTION_STYLES,
  INCH_DIMENSIONS,
  LETTERING_TYPEFACE,
  MM_PER,
  MOVED_OUT,
  parseScale,
  TERMINATORS,
} from '@mendrel/core';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { api } from '../../../app/api';
import { PlainTable } from '../../../app/PlainTable';
import { useTypefaces } from '../../../app/typefaces';
import { Card } from '../../../app/Card';
import { Specimen } from '../Specimen';
import { Split } from '../Split';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, lengths, plainOptions, ticks, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const SIZES = [
  ['height', 'Figures'],
  ['terminatorSize', 'End'],
  ['extension', 'Past line'],
  ['gap', 'Off object'],
  ['offset', 'Off line'],
] as const;

/** What figures are rounded to, by the unit they are written in. */
const ROUNDED: Record<DimensionLettering['unit'], readonly string[]> = {
  mm: ['1 mm', '0.1 mm', '0.01 mm', '0.001 mm'],
  in: ['1 in', '1/2 in', '1/4 in', '1/8 in', '1/16 in', '1/32 in', '1/64 in'],
};

const columnsOf = (standard: OfficeStandard, typefaces: readonly string[]): Column<DimensionLettering>[] => [
  words(
    { key: 'name', name: 'Name', width: 150 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  choices(
    { key: 'unit', name: 'Unit', width: 56 },
    (each) => each.unit,
    // A sixteenth of an inch and four decimals have the same number; with the unit the rounding starts anew.
    (each, unit) => ({ ...each, unit: unit === 'in' ? 'in' : 'mm', precision: unit === 'in' ? 4 : 0 }),
    () => plainOptions(['mm', 'in']),
  ),
  choices(
    { key: 'terminator', name: 'Ends in', width: 76 },
    (each) => each.terminator,
    (each, kind) => ({ ...each, terminator: TERMINATORS.find((t) => t === kind) ?? each.terminator }),
    () => plainOptions(TERMINATORS),
  ),
  ...SIZES.map(([key, name]) =>
    lengths<DimensionLettering>(
      { key, name, width: 70 },
      (each) => each[key],
      (each, mm) => ({ ...each, [key]: mm }),
      (each) => each.unit,
      [key === 'height' ? 0.5 : 0, 100],
    ),
  ),
  choices(
    { key: 'typeface', name: 'Typeface', width: 176 },
    (each) => each.typeface,
    (each, typeface) => ({ ...each, typeface }),
    () => plainOptions(typefaces),
  ),
  choices(
    { key: 'pen', name: 'Pen', width: 92 },
    (each) => each.pen,
    (each, pen) => ({ ...each, pen }),
    () => standard.pens.map((pen) => ({ value: pen.id, label: pen.name })),
  ),
];

/** How the figures are written. */
const FIGURE_COLUMNS: Column<DimensionLettering>[] = [
  words(
    { key: 'name', name: 'Name', width: 150 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  choices(
    { key: 'precision', name: 'Rounded to', width: 92 },
    (each) => String(each.precision),
    (each, precision) => ({ ...each, precision: Number(precision) }),
    (each) => ROUNDED[each.unit].map((label, i) => ({ value: String(i), label })),
  ),
  choices(
    { key: 'fractions', name: 'Fractions', width: 84 },
    (each) => each.fractions,
    (each, kind) => ({ ...each, fractions: FRACTION_STYLES.find((style) => style === kind) ?? each.fractions }),
    () => plainOptions(FRACTION_STYLES),
  ),
  ticks(
    { key: 'leadingZeros', name: 'Leading zeros', width: 92 },
    (each) => each.leadingZeros,
    (each, leadingZeros) => ({ ...each, leadingZeros }),
  ),
  ticks(
    { key: 'trailingZeros', name: 'Trailing zeros', width: 92 },
    (each) => each.trailingZeros,
    (each, trailingZeros) => ({ ...each, trailingZeros }),
  ),
  choices(
    { key: 'movedOut', name: 'Without room, outside go', width: 150 },
    (each) => each.movedOut,
    (each, what) => ({ ...each, movedOut: MOVED_OUT.find((one) => one === what) ?? each.movedOut }),
    () => plainOptions(MOVED_OUT),
  ),
  {
    key: 'example',
    name: 'Example',
    width: 150,
    write: (each) => exampleOf(each),
    read: (_text, each) => each,
    fixed: () => true,
  },
];

/** Two dimensions as the figures say them: one with a rest where there is room for it, one without. */
function exampleOf(style: DimensionLettering): string {
  const lengths = style.unit === 'mm' ? [style.precision === 0 ? 850 : 0.5, 2000] : [8.5 * MM_PER.in, 6 * MM_PER.ft];
  return lengths.map((mm) => figuresOnOneLine(dimensionFigures(style, mm))).join(' and ');
}

/** Dimension lettering: the sizes on paper of a dimension's parts, and what they come to in a drawing at real size. */
export function Dimensions() {
  const { standard, change, problemsIn } = useStandardEdit();
  const list = api.useTypefacesQuery();
  const typefaces = useTypefaces();
  const [chosen, setChosen] = useState(standard.dimensions[0]?.id ?? '');
  const style = standard.dimensions.find((each) => each.id === chosen) ?? standard.dimensions[0];
  const drawing = useMemo(
    () => (style ? dimensionSpecimen(style, standard, typefaces) : undefined),
    [style, standard, typefaces],
  );
  return (
    <>
      {style && drawing ? (
        <Split width={360} beside={<RealSizes style={style} scales={standard.scales} />}>
          <Card title={`${style.name} at true size`} about="On a screen of 96 pixels to the inch.">
            <Specimen drawing={drawing} label={`Specimen of ${style.name}`} trueSize />
          </Card>
        </Split>
      ) : null}
      <TableCard
        title="Dimension lettering"
        about="Sizes on paper. Past line: how far extension lines go beyond the dimension line. Off line: the space under the figures."
        add="Add dimension lettering"
        path="dimensions"
        caption="Dimension lettering"
        columns={columnsOf(standard, list.data?.map((each) => each.name) ?? [])}
        rows={standard.dimensions}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problemsIn('dimensions')}
        onChange={(dimensions, field) => change({ dimensions }, field)}
        fresh={(rows) => ({
          ...(rows.at(-1) ?? { ...INCH_DIMENSIONS, typeface: LETTERING_TYPEFACE }),
          id: freshId(rows, 'dimensions'),
          name: freshName(rows, 'New dimensions'),
        })}
        chosen={style?.id}
        onChoose={setChosen}
        empty="No dimension lettering yet. Starter drawings then carry no dimension style."
      />
      {standard.dimensions.length > 0 ? (
        <TableCard
          title="Figures of dimensions"
          about="What a dimension says, and what moves outside where it is too short for it. Tolerances are off."
          path="dimensions"
          file="dimension-figures"
          caption="Figures of dimensions"
          columns={FIGURE_COLUMNS}
          rows={standard.dimensions}
          idOf={(each) => each.id}
          nameOf={(each) => each.name}
          problems={[]}
          onChange={(dimensions, field) => change({ dimensions }, field)}
          chosen={style?.id}
          onChoose={setChosen}
        />
      ) : null}
    </>
  );
}

/** The same sizes in a drawing made at real size. */
function RealSizes({ style, scales }: { style: DimensionLettering; scales: readonly string[] }) {
  const own = scales.filter((scale) => scale.includes('=') === (style.unit === 'in'));
  const [chosen, setChosen] = useState<string>();
  const scale =
    own.find((each) => each === chosen) ?? own.find((each) => each === '1:100' || each.startsWith('1/4"')) ?? own[0];
  if (scale === undefined) return null;
  const { denominator } = parseScale(scale);
  return (
    <Card
      title="At real size"
      action={
        <TextField
          select
          label="Scale"
          value={scale}
          onChange={(event) => setChosen(event.target.value)}
          sx={{ width: 150 }}
        >
          {own.map((each) => (
            <MenuItem key={each} value={each}>
              {each}
            </MenuItem>
          ))}
        </TextField>
      }
    >
      <PlainTable caption="Dimension sizes in a drawing at real size" headings={['Size', 'On paper', 'At real size']}>
        {SIZES.map(([key, name]) => (
          <tr key={key}>
            <th scope="row">{name}</th>
            <td>{formatLength(style[key], style.unit, true)}</td>
            <td>{formatLength(style[key] * denominator, style.unit, true)}</td>
          </tr>
        ))}
      </PlainTable>
    </Card>
  );
}
