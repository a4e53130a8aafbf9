import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Edge, EdgePens, OfficeStandard } from '@mendrel/core';
import { EDGES, NO_LINE } from '@mendrel/core';
import { Pair } from './Section';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onSet: (value: T) => void;
  help?: string;
}

/** One of a few, by name. */
export function Chosen<T extends string>({ label, value, options, onSet, help }: Props<T>) {
  return (
    <TextField
      select
      label={label}
      value={value}
      helperText={help}
      onChange={(event) => onSet(event.target.value as T)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

interface PenProps {
  label: string;
  value: string | undefined;
  standard: OfficeStandard;
  /** What an unset pen follows, in words; without it a pen has to be chosen. */
  unset?: string;
  onSet: (pen: string | undefined) => void;
}

/** A pen of the standard, no line, or the one it follows. */
export function ChosenPen({ label, value, standard, unset, onSet }: PenProps) {
  const options: [string, string][] = [
    ...(unset === undefined ? [] : [['', unset] as [string, string]]),
    ...standard.pens.map((pen): [string, string] => [pen.id, `${pen.name}, ${pen.width} mm`]),
    [NO_LINE, 'No line'],
  ];
  return (
    <Chosen label={label} value={value ?? ''} options={options} onSet={(pen) => onSet(pen === '' ? undefined : pen)} />
  );
}

const EDGE_WORDS: Readonly<Record<Edge, string>> = { left: 'Left', right: 'Right', top: 'Top', bottom: 'Bottom' };

/** The pens of the four edges. */
export function ChosenEdges({
  edges,
  standard,
  unset,
  onSet,
}: {
  edges: EdgePens | undefined;
  standard: OfficeStandard;
  unset: string;
  onSet: (edge: Edge, pen: string | undefined) => void;
}) {
  return (
    <Pair>
      {EDGES.map((edge) => (
        <ChosenPen
          key={edge}
          label={`${EDGE_WORDS[edge]} edge`}
          value={edges?.[edge]}
          standard={standard}
          unset={unset}
          onSet={(pen) => onSet(edge, pen)}
        />
      ))}
    </Pair>
  );
}
