import { useMemo, useState } from 'react';
import type { DimensionLettering, OfficeStandard } from '@mendrel/core';
import {
  dimensionSpecimen,
  formatLength,
  INCH_DIMENSIONS,
  LETTERING_TYPEFACE,
  parseScale,
  TERMINATORS,
} from '@mendrel/core';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { api } from '../../../app/api';
import { PlainTable } from '../../../app/PlainTable';
import { useTypefaces } from '../../../app/typefaces';
import { Card } from '../Card';
import { Specimen } from '../Specimen';
import { Split } from '../Split';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, lengths, plainOptions, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const SIZES = [
  ['height', 'Figures'],
  ['terminatorSize', 'End'],
  ['extension', 'Past line'],
  ['gap', 'Off object'],
  ['offset', 'Off line'],
] as const;

const columnsOf = (standard: OfficeStandard, typefaces: readonly string[]): Column<DimensionLettering>[] => [
  words(
    { key: 'name', name: 'Name', width: 150 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  choices(
    { key: 'unit', name: 'Unit', width: 56 },
    (each) => each.unit,
    (each, unit) => ({ ...each, unit: unit === 'in' ? 'in' : 'mm' }),
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
