import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ConformityLine, Design, OfficeStandard, Typefaces } from '@mendrel/core';
import { cellLabel, conformity, counted, findCell } from '@mendrel/core';
import { Sign } from '../../../app/FindingMark';
import { PlainTable } from '../../../app/PlainTable';

interface Props {
  design: Design;
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** Goes to a cell. */
  onGo: (cell: string) => void;
}

/** What published standards ask of a title block, rule by rule, and what the design does. */
export function ConformityTable({ design, standard, typefaces, onGo }: Props) {
  const lines = useMemo(() => conformity(design, standard, typefaces), [design, standard, typefaces]);
  const missed = lines.filter(({ verdict }) => verdict === 'not met').length;
  return (
    <>
      <Typography sx={{ color: 'text.secondary', mb: 3 }}>
        {missed === 0 ? 'Every rule that applies is met.' : `${counted(missed, 'rule')} of ${lines.length} not met.`}{' '}
        {standard.uncounted
          ? `${standard.uncounted.join(', ')} ${standard.uncounted.length === 1 ? 'does' : 'do'} not count for the office. `
          : ''}
        The values of the standards are from memory: check them against your copy before you rely on them.
      </Typography>
      <PlainTable caption="Conformity" headings={['Standard', 'Rule', 'Needed', 'Found', 'Verdict', 'Where']}>
        {lines.map((line) => (
          <tr key={`${line.standard} ${line.rule}`}>
            <td>{line.standard}</td>
            <th scope="row">{line.rule}</th>
            <td>{line.needed}</td>
            <td>{line.found}</td>
            <td>
              <Verdict verdict={line.verdict} />
            </td>
            <td>
              <Place cells={line.cells} design={design} onGo={onGo} />
            </td>
          </tr>
        ))}
      </PlainTable>
    </>
  );
}

const COLOURS = { met: 'success.main', 'not met': 'error.main', 'does not apply': 'text.secondary' } as const;

function Verdict({ verdict }: Pick<ConformityLine, 'verdict'>) {
  return (
    <Box component="span" sx={{ color: COLOURS[verdict], whiteSpace: 'nowrap' }}>
      {verdict === 'not met' ? <Sign weight="error" /> : null} {verdict}
    </Box>
  );
}

/** The first cell that a line is about. */
function Place({ cells, design, onGo }: Pick<ConformityLine, 'cells'> & Pick<Props, 'design' | 'onGo'>) {
  const [first] = cells;
  const found = first === undefined ? undefined : findCell(design, first);
  if (first === undefined || !found) return null;
  return (
    <Button size="small" onClick={() => onGo(first)} sx={{ minWidth: 0 }}>
      {cellLabel(found.cell)}
    </Button>
  );
}
