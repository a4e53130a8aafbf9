import { useState } from 'react';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { OfficeStandard, PublishedStandard } from '@mendrel/core';
import {
  deviceFindings,
  formatLength,
  PUBLISHED_STANDARDS,
  reducedPrint,
  reduction,
  sizesOf,
  standardFindings,
  UnknownSizeError,
} from '@mendrel/core';
import { FindingMark, Fits } from '../../../app/FindingMark';
import { PlainTable } from '../../../app/PlainTable';
import { useTypefaces } from '../../../app/typefaces';
import { Card } from '../../../app/Card';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, plainOptions, readNumber } from '../table/columns';
import { useEntries } from '../table/useEntries';
import { useStandardEdit } from '../useStandardEdit';

/** What in the standard contradicts itself or the published standards, and what a reduced print does to the lettering. */
export function Checks() {
  const { standard } = useStandardEdit();
  const typefaces = useTypefaces();
  const findings = [...standardFindings(standard, typefaces), ...deviceFindings(standard)];
  return (
    <>
      <Card title="Checked against itself, the published standards and your devices">
        <PlainTable caption="Findings" headings={['Finding', 'Measured', 'Limit', 'Rule', 'Fix']}>
          {findings.length === 0 ? (
            <tr>
              <td colSpan={5}>No conflicts.</td>
            </tr>
          ) : null}
          {findings.map((finding) => (
            <tr key={`${finding.message} ${finding.rule}`}>
              <td>
                <FindingMark finding={finding} />
              </td>
              <td>{finding.measured}</td>
              <td>{finding.limit}</td>
              <td>{finding.rule}</td>
              <td>{finding.mend}</td>
            </tr>
          ))}
        </PlainTable>
      </Card>
      <Counting />
      <ReducedPrints standard={standard} />
    </>
  );
}

/** Which published standards the conformity of a design is told by. */
function Counting() {
  const { standard, change } = useStandardEdit();
  const uncounted = standard.uncounted ?? [];
  const choose = (name: PublishedStandard, counts: boolean): void => {
    const next = counts ? uncounted.filter((each) => each !== name) : [...uncounted, name];
    change({ uncounted: next.length === 0 ? undefined : next });
  };
  return (
    <Card title="Published standards that count" about="The report on a design leaves out the rules of all others.">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4 }}>
        {PUBLISHED_STANDARDS.map((name) => (
          <FormControlLabel
            key={name}
            label={name}
            control={
              <Checkbox
                size="small"
                checked={!uncounted.includes(name)}
                onChange={({ target }) => choose(name, target.checked)}
              />
            }
          />
        ))}
      </Box>
    </Card>
  );
}

type Pair = OfficeStandard['reducedPrints'][number] & { id: string };

function ReducedPrints({ standard }: { standard: OfficeStandard }) {
  const { change, problemsIn } = useStandardEdit();
  const [chosen, setChosen] = useState('0');
  const rows = standard.reducedPrints.map((pair, i): Pair => ({ ...pair, id: String(i) }));
  const pair = rows.find((row) => row.id === chosen) ?? rows[0];
  const sizes = (): { value: string; label: string }[] => plainOptions(sizesOf(standard).map((size) => size.name));
  const columns: Column<Pair>[] = [
    choices(
      { key: 'from', name: 'Sheet', width: 170 },
      (row) => row.from,
      (row, from) => ({ ...row, from }),
      sizes,
    ),
    choices(
      { key: 'to', name: 'Printed on', width: 170 },
      (row) => row.to,
      (row, to) => ({ ...row, to }),
      sizes,
    ),
  ];
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(420px, 1fr))', gap: 5 }}>
      <TableCard
        title="Reduced prints"
        about="Which sheets the office prints on smaller paper, and the least height that is still read."
        add="Add a pair"
        path="reducedPrints"
        caption="Reduced prints"
        columns={columns}
        rows={rows}
        idOf={(row) => row.id}
        nameOf={(row) => `${row.from} on ${row.to}`}
        problems={problemsIn('reducedPrints')}
        onChange={(next, field) => change({ reducedPrints: next.map(({ id: _id, ...each }) => each) }, field)}
        fresh={(all) => ({ id: String(all.length), from: 'ISO A2', to: 'ISO A3' })}
        chosen={pair?.id}
        onChoose={setChosen}
        empty="No reduced prints."
        extra={{ name: 'Reduced to', width: 170, of: (row) => factorInWords(standard, row) }}
      >
        <LeastHeight standard={standard} />
      </TableCard>
      {pair ? <Legibility standard={standard} pair={pair} /> : null}
    </Box>
  );
}

function factorInWords(standard: OfficeStandard, pair: Pair): string {
  try {
    return `${(reduction(standard, pair) * 100).toFixed(1)} %`;
  } catch (error) {
    if (error instanceof UnknownSizeError) return 'one of them is not there';
    throw error;
  }
}

function LeastHeight({ standard }: { standard: OfficeStandard }) {
  const { change } = useStandardEdit();
  const entries = useEntries();
  const unread = entries.unread['leastHeight'];
  return (
    <TextField
      label="Least legible height in mm"
      value={unread?.text ?? standard.leastHeight}
      error={unread !== undefined}
      helperText={unread?.message ?? 'On the reduced print'}
      onChange={(event) =>
        entries.attempt('leastHeight', event.target.value, () =>
          change({ leastHeight: readNumber(event.target.value, 'the least height', [0.1, 20]) }, 'leastHeight'),
        )
      }
      onBlur={entries.leave}
      sx={{ width: 220, mt: 4 }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}

function Legibility({ standard, pair }: { standard: OfficeStandard; pair: Pair }) {
  let rows: ReturnType<typeof reducedPrint>;
  try {
    rows = reducedPrint(standard, pair);
  } catch (error) {
    if (error instanceof UnknownSizeError) return null;
    throw error;
  }
  return (
    <Card title={`${pair.from} on ${pair.to}`}>
      <PlainTable
        caption={`Lettering of ${pair.from} on ${pair.to}`}
        headings={['Role', 'On the sheet', 'On the print', 'Legible']}
      >
        {rows.map(({ role, height, legible }) => (
          <tr key={role.id}>
            <th scope="row">{role.name}</th>
            <td>{formatLength(role.height, role.unit, true)}</td>
            <td>{formatLength(Math.round(height * 100) / 100, role.unit, true)}</td>
            <td>
              {legible ? (
                <Fits word="legible" />
              ) : (
                <FindingMark finding={{ weight: 'gap', message: `under ${standard.leastHeight} mm` }} />
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
    </Card>
  );
}
