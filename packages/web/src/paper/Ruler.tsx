import type { WorkingUnit } from '@mendrel/core';
import { memo } from 'react';
import { styled } from '@mui/material/styles';
import type { Viewport } from './viewport';

export const RULER = 24;

const STEPS: Record<WorkingUnit, readonly { mm: number; minor: number; label: (mm: number) => string }[]> = {
  mm: [1, 5, 10, 50, 100, 500].map((mm) => ({ mm, minor: mm / 5, label: (at) => String(Math.round(at)) })),
  in: [1, 2, 6, 12, 24].map((inches) => ({
    mm: inches * 25.4,
    minor: (inches * 25.4) / 4,
    label: (at) => String(Math.round(at / 25.4)),
  })),
};
/** Least distance of two figures on the ruler in pixels. */
const FIGURE_ROOM = 34;

interface Props {
  viewport: Viewport;
  length: number;
  unit: WorkingUnit;
  /** Paper extent along the ruler in mm. */
  extent: number;
}

// Styled once, and all its lines one path: it is drawn anew with every step of a drag.
const RulerLine = styled('svg')(({ theme }) => ({
  display: 'block',
  flex: 'none',
  backgroundColor: theme.vars?.palette.office.soft,
  color: theme.vars?.palette.text.secondary,
}));

/** The ruler along the upper edge of the paper, in the unit of the office. */
export const Ruler = memo(function Ruler({ viewport, length, unit, extent }: Props) {
  const steps = STEPS[unit];
  const step = steps.find((each) => each.mm * viewport.scale >= FIGURE_ROOM) ?? steps[steps.length - 1];
  if (!step) return null;
  const from = Math.max(0, Math.floor(-viewport.x / viewport.scale / step.mm) * step.mm);
  const to = Math.min(extent, (length - viewport.x) / viewport.scale);
  const marks: { at: number; px: number; major: boolean }[] = [];
  for (let at = from; at <= to + 1e-9 && marks.length < 600; at += step.minor) {
    const major = Math.abs(at / step.mm - Math.round(at / step.mm)) < 1e-6;
    marks.push({ at, px: viewport.x + at * viewport.scale, major });
  }
  return (
    <RulerLine aria-hidden width={length} height={RULER}>
      <path
        d={marks.map(({ px, major }) => `M${px} ${RULER}v${major ? -8 : -4}`).join('')}
        stroke="currentColor"
        strokeWidth="1"
      />
      {marks.map(({ at, px, major }) =>
        major ? (
          <text key={at.toFixed(3)} x={px + 3} y={RULER - 9} fontSize="11" fill="currentColor">
            {step.label(at)}
          </text>
        ) : null,
      )}
    </RulerLine>
  );
});
