import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { Design, OfficeStandard, Remedy, Typefaces, TriedOn } from '@mendrel/core';
import { whatItWouldTake } from '@mendrel/core';
import { FindingMark } from '../../../app/FindingMark';
import { SheetPicture } from '../../../paper/SheetPicture';
import { increment, lengthWords } from '../paper/dividers';
import { solveFor } from '../../../paper/useSolved';

interface Props {
  design: Design;
  tried: TriedOn;
  standard: OfficeStandard;
  typefaces: Typefaces;
  onApply: (design: Design) => void;
  onClose: () => void;
}

/** Remedies shown for one size. */
const MOST = 3;

/** The smallest changes of dimensions that take findings away, each with the sheet as it would be. */
export function WhatItTakes({ design, tried, standard, typefaces, onApply, onClose }: Props) {
  const remedies = useMemo(
    () =>
      whatItWouldTake(
        design,
        (trial, size) => {
          const solved = solveFor(trial, size, tried, standard, typefaces);
          return solved.problem ? undefined : solved.layout;
        },
        increment(design.unit),
      ),
    [design, tried, standard, typefaces],
  );
  const troubled = design.sizes.flatMap(({ size }) => {
    const solved = solveFor(design, size, tried, standard, typefaces);
    if (solved.problem) return [];
    const errors = solved.layout.findings.filter((each) => each.weight === 'error');
    return errors.length > 0
      ? [{ size, errors, ways: remedies.filter((each) => each.size === size).slice(0, MOST) }]
      : [];
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="takes-title" fullWidth maxWidth="md">
      <DialogTitle id="takes-title">What would it take?</DialogTitle>
      <DialogContent>
        {troubled.length === 0 ? <Typography>No problems on any size.</Typography> : null}
        {troubled.map(({ size, errors, ways }) => (
          <Box component="section" key={size} aria-label={size} sx={{ mb: 5 }}>
            <Typography variant="h2" component="h3">
              {size}
            </Typography>
            {errors.slice(0, 4).map((each, i) => (
              <Typography key={i}>
                <FindingMark finding={each} />
              </Typography>
            ))}
            {errors.length > 4 ? <Typography>and {errors.length - 4} more</Typography> : null}
            {ways.length === 0 ? (
              <Typography sx={{ color: 'text.secondary', mt: 2 }}>
                No single dimension fixes this. Name the length that is short, or let the texts wrap, condense or step
                down.
              </Typography>
            ) : null}
            {ways.map((way) => (
              <Way
                key={`${way.dimension}${way.to}`}
                way={way}
                design={design}
                picture={solveFor(way.design, size, tried, standard, typefaces)}
                onApply={() => onApply(way.design)}
              />
            ))}
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function removedWords(removed: number, of: number): string {
  if (removed < of) return `${removed} of ${of}`;
  return removed === 1 ? 'it' : removed === 2 ? 'both' : `all ${removed}`;
}

function Way({
  way,
  design,
  picture,
  onApply,
}: {
  way: Remedy;
  design: Design;
  picture: ReturnType<typeof solveFor>;
  onApply: () => void;
}) {
  const removed = way.before - way.after;
  const { unit } = design;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 4, mt: 2 }}>
      {picture.problem ? null : (
        <SheetPicture drawing={picture.drawing} width={96} height={68} label={`${way.size} with the change`} />
      )}
      <Typography sx={{ flex: 1 }}>
        <b>
          {way.dimension} {lengthWords(way.from, unit)} → {lengthWords(way.to, unit)} {unit}
        </b>{' '}
        on {way.size} removes {removedWords(removed, way.before)}
      </Typography>
      <Button variant="outlined" size="small" onClick={onApply}>
        Apply
      </Button>
    </Box>
  );
}
