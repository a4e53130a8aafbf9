import Box from '@mui/material/Box';
import type { Finding } from '@mendrel/core';
import { inWords, worstFinding } from '@mendrel/core';
import { FindingMark } from '../../app/FindingMark';

/** What has to be mended on a sheet before it goes out: the worst of it, and all of it in the words that it is pointed at for. */
export function SheetState({ findings, fits = '—' }: { findings: readonly Finding[]; fits?: React.ReactNode }) {
  const worst = worstFinding(findings);
  if (!worst) return <>{fits}</>;
  return (
    <Box
      component="span"
      title={findings.map(inWords).join('\n')}
      sx={{ whiteSpace: 'nowrap', overflow: 'hidden', display: 'flex' }}
    >
      <FindingMark finding={worst} more={findings.length - 1} />
    </Box>
  );
}
