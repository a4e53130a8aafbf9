import Button from '@mui/material/Button';
import type { OfficeStandard } from '@mendrel/core';
import { realSizeTable, realSizeWords } from '@mendrel/core';
import { writeCsv } from '@mendrel/formats/csv';
import { Card } from './Card';

const SYSTEMS = [
  { key: 'metric', title: 'Lettering in drawings made at real size, metric' },
  { key: 'imperial', title: 'Lettering in drawings made at real size, feet and inches' },
] as const;

/** Hands a text to the browser as a file to keep. */
function keepFile(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** For every role and every scale the height to draw at, so that it prints as the role's own: what drafters pin to the wall. */
export function RealSizes({ standard }: { standard: OfficeStandard }) {
  return SYSTEMS.map(({ key, title }) => {
    const { roles, rows } = realSizeTable(standard, key);
    const headings = ['Scale', ...roles.map((role) => role.name)];
    const cells = rows.map(({ scale, heights }) => [
      scale.words,
      ...heights.map((height) => realSizeWords(height, key)),
    ]);
    return (
      <Card
        key={key}
        title={title}
        headings={headings}
        wide
        action={
          <Button
            variant="outlined"
            size="small"
            onClick={() => keepFile(`real-sizes-${key}.csv`, writeCsv(headings, cells))}
          >
            Download as CSV
          </Button>
        }
      >
        {cells.map(([scale, ...heights]) => (
          <tr key={scale}>
            <th scope="row">{scale}</th>
            {heights.map((height, i) => (
              <td key={headings[i + 1]}>{height}</td>
            ))}
          </tr>
        ))}
      </Card>
    );
  });
}
