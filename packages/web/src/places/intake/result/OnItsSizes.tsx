import { useMemo } from 'react';
import Box from '@mui/material/Box';
import type { Design, OfficeStandard, TriedOn } from '@mendrel/core';
import { worstFinding } from '@mendrel/core';
import { FindingMark, Fits } from '../../../app/FindingMark';
import { useTypefaces } from '../../../app/typefaces';
import { SheetPicture } from '../../../paper/SheetPicture';
import { useSolvedSizes } from '../../../paper/useSolved';

interface Props {
  design: Design;
  tried: TriedOn;
  standard: OfficeStandard;
}

/** The design on every sheet size that it serves at once, with what does not fit there. */
export function OnItsSizes({ design, tried, standard }: Props) {
  const typefaces = useTypefaces();
  const solved = useSolvedSizes(design, tried, standard, typefaces);
  const shown = useMemo(
    () =>
      solved.map((each) => ({
        size: each.size,
        drawing: each.problem ? undefined : each.drawing,
        worst: each.problem
          ? { weight: 'error' as const, message: 'not solved' }
          : worstFinding(each.layout.findings.filter((finding) => finding.weight === 'error')),
      })),
    [solved],
  );
  return (
    <Box
      component="section"
      aria-label="The design on its sheet sizes"
      sx={{
        display: 'flex',
        gap: 4,
        flex: 'none',
        height: 108,
        boxSizing: 'border-box',
        px: 4,
        py: 2,
        overflowX: 'auto',
        bgcolor: 'office.soft',
        borderTop: 1,
        borderColor: 'divider',
      }}
      tabIndex={0}
    >
      {shown.map(({ size, drawing, worst }) => (
        <Box key={size} sx={{ flex: 'none', maxWidth: 220, fontSize: '0.75rem' }}>
          {drawing ? <SheetPicture drawing={drawing} width={96} height={62} label={`The design on ${size}`} /> : null}
          <Box title={worst?.message} sx={{ mt: 1, whiteSpace: 'nowrap', display: 'flex', gap: 1.5 }}>
            <b>{size}</b> {worst ? <FindingMark finding={worst} /> : <Fits />}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
