import { useMemo } from 'react';
import Box from '@mui/material/Box';
import type { Drawing, Item } from '@mendrel/core';
import { INKS } from '../app/inks';
import { Linework } from './Linework';
import { Paper } from './Paper';

interface Props {
  old: Drawing;
  now: Drawing;
  label: string;
}

/** How much a ground covers: it is seen, and so is what lies on it. */
const GROUND = 0.15;

/** An item in the ink of its drawing, whatever its own colour is. */
function inked(item: Item, ink: string): Item {
  if (item.colour === undefined) return item;
  return { ...item, colour: ink, ...(item.kind === 'fill' ? { opacity: GROUND } : {}) };
}

const inOneInk = (drawing: Drawing, ink: string): Drawing => ({
  ...drawing,
  items: drawing.items.map((item) => inked(item, ink)),
});

/** How far an older drawing lies below the upper edge of a paper of another height. */
const lowered = (old: Drawing, now: Drawing): string => `translate(0 ${now.height - old.height})`;

/** Two drawings on one paper, each in its ink: where both lie it is nearly black. */
export function OverlaidPaper({ old, now, label }: Props) {
  const [before, after] = useMemo(() => [inOneInk(old, INKS.old), inOneInk(now, INKS.now)], [old, now]);
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box sx={{ display: 'flex', gap: 5, px: 4, py: 1.5, borderBottom: 1, borderColor: 'divider' }} aria-hidden>
        <Legend colour={INKS.old} words="as it was" />
        <Legend colour={INKS.now} words="as it is" />
        <Legend colour="text.primary" words="the same in both" />
      </Box>
      <Paper
        drawing={after}
        unit="mm"
        label={label}
        ink={INKS.now}
        overprint
        under={
          <Box component="g" sx={{ color: INKS.old }} transform={lowered(before, after)}>
            <Linework drawing={before} />
          </Box>
        }
      />
    </Box>
  );
}

function Legend({ colour, words }: { colour: string; words: string }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, color: 'text.secondary' }}>
      <Box sx={{ width: 18, height: 3, bgcolor: colour }} />
      {words}
    </Box>
  );
}
