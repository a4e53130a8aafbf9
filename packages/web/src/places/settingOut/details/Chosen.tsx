import { useState } from 'react';
import type { Edge, EdgePens, OfficeStandard } from '@mendrel/core';
import { EDGES, formatLength, NO_LINE } from '@mendrel/core';
import type { ChosenProps } from '../../../app/Chosen';
import { Chosen } from '../../../app/Chosen';
import type { EntryKind } from '../additions/entryKinds';
import { NewEntry } from '../additions/NewEntry';
import { Pair } from './Section';

/** The choice that asks for a new entry of the office standard. */
const NEW = '+';

/** Parameters are looked for by their names, in a field of their own. */
type ListedKind = Exclude<EntryKind, 'parameter'>;

const NEW_WORDS: Readonly<Record<ListedKind, string>> = {
  size: 'New sheet size…',
  role: 'New lettering role…',
  pen: 'New pen…',
};

/** One entry of the office standard, or a new one, which is added there and chosen in one step. */
export function ChosenEntry({
  kind,
  standard,
  options,
  onSet,
  ...chosen
}: ChosenProps<string> & { kind: ListedKind; standard: OfficeStandard }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Chosen
        {...chosen}
        options={[...options, [NEW, NEW_WORDS[kind]]]}
        onSet={(value) => (value === NEW ? setAsking(true) : onSet(value))}
      />
      {asking ? (
        <NewEntry
          kind={kind}
          standard={standard}
          unit={standard.unit}
          onAdded={onSet}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}

/** A lettering role of the standard. @param unset what no role means, in words; without it one has to be chosen */
export function ChosenRole({
  label,
  value,
  standard,
  unset,
  onSet,
}: Omit<ChosenProps<string>, 'options'> & { standard: OfficeStandard; unset?: string }) {
  return (
    <ChosenEntry
      kind="role"
      label={label}
      value={value}
      standard={standard}
      options={[
        ...(unset === undefined ? [] : [['', unset] as const]),
        ...standard.roles.map(
          (role) => [role.id, `${role.name}, ${formatLength(role.height, standard.unit, true)}`] as const,
        ),
      ]}
      onSet={onSet}
    />
  );
}

interface PenProps {
  label: string;
  value: string | undefined;
  standard: OfficeStandard;
  /** What an unset pen follows, in words; without it a pen has to be chosen. */
  unset?: string;
  /** Whether something has to be drawn, so that no line is no choice. */
  drawn?: true;
  onSet: (pen: string | undefined) => void;
}

/** A pen of the standard, no line, or the one it follows. */
export function ChosenPen({ label, value, standard, unset, drawn, onSet }: PenProps) {
  const options: [string, string][] = [
    ...(unset === undefined ? [] : [['', unset] as [string, string]]),
    ...standard.pens.map((pen): [string, string] => [pen.id, `${pen.name}, ${pen.width} mm`]),
    ...(drawn ? [] : [[NO_LINE, 'No line'] as [string, string]]),
  ];
  return (
    <ChosenEntry
      kind="pen"
      standard={standard}
      label={label}
      value={value ?? ''}
      options={options}
      onSet={(pen) => onSet(pen === '' ? undefined : pen)}
    />
  );
}

/** The lettering role of words, and the pen of the lines that they stand with, which are always drawn. */
export function RoleAndPen({
  of,
  standard,
  onSet,
}: {
  of: { role: string; pen: string };
  standard: OfficeStandard;
  onSet: (change: { role: string } | { pen: string }) => void;
}) {
  return (
    <Pair>
      <ChosenRole label="Lettering role" value={of.role} standard={standard} onSet={(role) => onSet({ role })} />
      <ChosenPen drawn label="Pen" value={of.pen} standard={standard} onSet={(pen) => onSet({ pen: pen ?? of.pen })} />
    </Pair>
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
