import { useState } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Design, Drawing, OfficeStandard, Rect } from '@mendrel/core';
import { around, segmentsOf } from '@mendrel/core';
import { useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import { Linework } from '../../../paper/Linework';
import { Paper } from '../../../paper/Paper';
import { Chosen } from '../../../app/Chosen';
import { solveFor } from '../../../paper/useSolved';
import { Sign } from '../../../app/FindingMark';
import { INKS } from '../../../app/inks';
import { useTried } from './useTried';

interface Props {
  before: Design;
  after: Design;
  standard: OfficeStandard;
}

/** The draft in ink over the revision in red: where both agree there is one line. */
export function ChangeOverlay({ before, after, standard }: Props) {
  const shown = useAppSelector((root) => root.settingOut.size);
  const typefaces = useTypefaces();
  const [size, setSize] = useState(shown);
  const tried = useTried(after, standard);
  const was = before.sizes.some((each) => each.size === size)
    ? solveFor(before, size, tried, standard, typefaces)
    : undefined;
  const is = solveFor(after, size, tried, standard, typefaces);
  if (is.problem)
    return (
      <Typography>
        <Sign weight="error" /> The draft cannot be solved on {size}: {is.problem.message}
      </Typography>
    );
  const blocks = around(is.layout.panels);
  const changed = was && !was.problem ? around(movedLines(was.drawing, is.drawing)) : undefined;
  const target = changed ?? blocks;
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', mb: 2 }}>
        <Box sx={{ width: 140 }}>
          <Chosen
            label="On"
            value={size}
            options={after.sizes.map((each) => [each.size, each.size] as const)}
            onSet={setSize}
          />
        </Box>
        <Typography sx={{ color: 'text.secondary' }}>
          Ink: the draft.{' '}
          <Box component="span" sx={{ color: 'error.main' }}>
            Red: the revision.
          </Box>
          {was?.problem ? ` The revision cannot be solved here: ${was.problem.message}` : ''}
          {was ? '' : ' The revision does not serve this size.'}
        </Typography>
      </Box>
      <Box sx={{ height: 320, display: 'flex', border: 1, borderColor: 'divider' }}>
        <Paper
          drawing={is.drawing}
          unit={after.unit}
          label={`What changed on ${size}`}
          {...(target ? { target: grown(target) } : {})}
          views={[
            ...(changed ? [{ name: 'What changed', rect: grown(changed) }] : []),
            ...(blocks ? [{ name: 'Panels', rect: blocks }] : []),
          ]}
          under={
            was && !was.problem ? (
              <Box component="g" sx={{ color: INKS.spills }}>
                <Linework drawing={was.drawing} />
              </Box>
            ) : null
          }
          opacity={0.75}
        />
      </Box>
    </Box>
  );
}

/** The lines of the title block that are in one drawing and not in the other. */
function movedLines(was: Drawing, is: Drawing): Rect[] {
  const lines = (drawing: Drawing): Map<string, Rect> =>
    new Map(
      segmentsOf(drawing.items.filter((item) => item.part === 'block')).map(({ x0, y0, x1, y1 }) => [
        [x0, y0, x1, y1].map((value) => value.toFixed(3)).join(),
        { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) },
      ]),
    );
  const [before, after] = [lines(was), lines(is)];
  const only = (some: Map<string, Rect>, other: Map<string, Rect>): Rect[] =>
    [...some].flatMap(([key, rect]) => (other.has(key) ? [] : [rect]));
  return [...only(before, after), ...only(after, before)];
}

/** With its surroundings, so that one sees where it is. */
const grown = ({ x, y, width, height }: Rect): Rect => {
  const room = Math.max(width, height, 40) * 0.2;
  return { x: x - room, y: y - room, width: width + 2 * room, height: height + 2 * room };
};
