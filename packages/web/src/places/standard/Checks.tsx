import { useState } from 'react';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { OfficeStandard } from '@mendrel/core';
import { formatLength, reducedPrint, standardFindings } from '@mendrel/core';
import { Fits, FindingMark } from '../../app/FindingMark';
import { useTypefaces } from '../../app/typefaces';
import { Card } from './Card';

/** Reduced prints that offices make. */
const PAIRS = [
  ['ISO A1', 'ISO A3'],
  ['ISO A0', 'ISO A1'],
  ['ISO A0', 'ISO A3'],
  ['ISO A2', 'ISO A3'],
  ['ARCH D', 'ASME B'],
  ['ARCH E1', 'ASME B'],
] as const;

const LEAST_HEIGHTS = [1.2, 1.5, 1.8, 2];

/** What in the standard contradicts itself or the published standards, and what a reduced print does to the lettering. */
export function Checks({ standard }: { standard: OfficeStandard }) {
  const typefaces = useTypefaces();
  const findings = standardFindings(standard, typefaces);
  return (
    <>
      <Card title="Against itself and the published standards" headings={['Finding', 'Measured', 'Limit', 'Rule']} wide>
        {findings.length === 0 ? (
          <tr>
            <td colSpan={4}>Nothing contradicts.</td>
          </tr>
        ) : null}
        {findings.map((finding) => (
          <tr key={`${finding.message}`}>
            <td>
              <FindingMark finding={finding} />
            </td>
            <td>{finding.measured}</td>
            <td>{finding.limit}</td>
            <td>{finding.rule}</td>
          </tr>
        ))}
      </Card>
      <ReducedPrint standard={standard} />
    </>
  );
}

function ReducedPrint({ standard }: { standard: OfficeStandard }) {
  const [pair, setPair] = useState(0);
  const [least, setLeast] = useState(1.8);
  const [from, to] = PAIRS[pair] ?? PAIRS[0];
  return (
    <Card
      title="Reduced prints"
      headings={['Role', 'On the sheet', 'On the print', 'Legible']}
      action={
        <>
          <TextField
            select
            label="Printed on"
            value={pair}
            onChange={(event) => setPair(Number(event.target.value))}
            sx={{ width: 170 }}
          >
            {PAIRS.map(([large, small], i) => (
              <MenuItem key={`${large}-${small}`} value={i}>
                {large} on {small}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="Least height"
            value={least}
            onChange={(event) => setLeast(Number(event.target.value))}
            sx={{ width: 110 }}
          >
            {LEAST_HEIGHTS.map((height) => (
              <MenuItem key={height} value={height}>
                {height} mm
              </MenuItem>
            ))}
          </TextField>
        </>
      }
      wide
    >
      {reducedPrint(standard, from, to, least).map(({ role, height, legible }) => (
        <tr key={role.id}>
          <th scope="row">{role.name}</th>
          <td>{formatLength(role.height, 'mm', true)}</td>
          <td>{height.toFixed(2)} mm</td>
          <td>
            {legible ? (
              <Fits word="legible" />
            ) : (
              <FindingMark finding={{ weight: 'gap', message: `under ${least} mm` }} />
            )}
          </td>
        </tr>
      ))}
    </Card>
  );
}
