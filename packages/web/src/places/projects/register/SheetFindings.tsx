import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { inWords, rankOf, toMend } from '@mendrel/core';
import { FindingMark } from '../../../app/FindingMark';
import type { ProjectSheet } from '../sheetDrawings';
import { useDrawn } from '../drawnSheets';

/** How many stand there at first: the data of the sheet are below them. */
const FIRST = 4;

/** Everything that has to be mended on a sheet, the worst first, with what to do about each. */
export function SheetFindings({ sheet }: { sheet: ProjectSheet }) {
  const [all, setAll] = useState(false);
  const findings = toMend(useDrawn(sheet)).toSorted((a, b) => rankOf([a]) - rankOf([b]));
  if (findings.length === 0) return null;
  const left = findings.length - FIRST;
  return (
    <Box component="section" aria-label="To mend">
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.5 }}>
        {(all ? findings : findings.slice(0, FIRST)).map((finding, i) => (
          <Box component="li" key={i} sx={{ fontSize: '0.8125rem' }}>
            <FindingMark finding={{ weight: finding.weight, message: inWords(finding) }} />
          </Box>
        ))}
      </Box>
      {left > 0 && !all ? (
        <Button size="small" onClick={() => setAll(true)} sx={{ mt: 1 }}>
          Show {left} more
        </Button>
      ) : null}
    </Box>
  );
}
