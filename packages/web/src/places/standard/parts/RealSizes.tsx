import Button from '@mui/material/Button';
import { formatLength, realSizeTable } from '@mendrel/core';
import { writeCsv } from '@mendrel/formats/csv';
import { keepFile } from '../../../app/keepFile';
import { PlainTable } from '../../../app/PlainTable';
import { Card } from '../../../app/Card';
import { useStandardEdit } from '../useStandardEdit';

const SYSTEMS = [
  { system: 'metric', unit: 'mm', title: 'Lettering in drawings made at real size, metric' },
  { system: 'imperial', unit: 'in', title: 'Lettering in drawings made at real size, feet and inches' },
] as const;

/** For every role and every scale the height to draw at, so that it prints as the role's own: what drafters pin to the wall. */
export function RealSizes() {
  const { standard } = useStandardEdit();
  return SYSTEMS.map(({ system, unit, title }) => {
    const { roles, rows } = realSizeTable(standard, system);
    const headings = ['Scale', ...roles.map((role) => role.name)];
    const cells = rows.map(({ scale, heights }) => [
      scale.words,
      ...heights.map((height) => formatLength(height, unit)),
    ]);
    return (
      <Card
        key={system}
        title={title}
        about={unit === 'mm' ? 'Heights of capitals in mm.' : 'Heights of capitals in inches.'}
        action={
          <>
            <Button
              size="small"
              onClick={() => keepFile(`real-sizes-${system}.csv`, writeCsv(headings, cells), 'text/csv')}
            >
              Download as CSV
            </Button>
            <Button size="small" onClick={() => window.print()}>
              Print
            </Button>
          </>
        }
      >
        <PlainTable tight caption={title} headings={headings}>
          {cells.map(([scale, ...heights]) => (
            <tr key={scale}>
              <th scope="row">{scale}</th>
              {heights.map((height, i) => (
                <td key={headings[i + 1]}>{height}</td>
              ))}
            </tr>
          ))}
        </PlainTable>
      </Card>
    );
  });
}
