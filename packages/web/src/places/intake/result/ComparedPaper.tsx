import Box from '@mui/material/Box';
import type { Asked, Drawing, IntakeReport, Point, WorkingUnit } from '@mendrel/core';
import { contains } from '@mendrel/core';
import { Linework } from '../../../paper/Linework';
import { Paper } from '../../../paper/Paper';
import type { Marked } from './marked';
import { placesOf } from './marked';
import type { Comparison } from './useComparison';
import { INKS } from '../../../app/inks';

interface Props {
  legacy: Drawing;
  drawing: Drawing;
  panels: readonly { x: number; y: number; width: number; height: number }[];
  unit: WorkingUnit;
  name: string;
  report: IntakeReport;
  comparison: Comparison;
  picked: readonly string[];
  marked: Marked | undefined;
  onPick: (cells: readonly string[]) => void;
  asked: Asked | undefined;
  onAsk: (point: Point) => void;
}

/** Radius of the ring around a difference, in mm. */
const RING = 6;
/** Room around what was clicked, in mm. */
const AROUND = 0.8;

/** The old drawing and the design on one paper; cells are picked by a click. */
export function ComparedPaper(props: Props) {
  const { legacy, drawing, panels, unit, name, report, comparison, picked, marked, onPick, asked, onAsk } = props;
  const { mode, share } = comparison;
  const both = mode === 'difference';
  return (
    <Paper
      drawing={drawing}
      unit={unit}
      label={`${name} and the design made of it`}
      opacity={both ? 1 : share}
      overprint={both}
      {...(both ? { ink: INKS.now } : {})}
      target={blockOf(panels, drawing)}
      views={[{ name: 'Title block', rect: blockOf(panels, drawing) }]}
      onPick={(point, add) => {
        const cell = report.cells.find((each) => contains(each, point))?.id;
        onAsk(point);
        const others = add ? picked.filter((each) => each !== cell) : [];
        onPick(cell === undefined || picked.includes(cell) ? others : [...others, cell]);
      }}
      over={() => (
        <>
          {report.cells
            .filter((cell) => picked.includes(cell.id))
            .map((cell) => (
              <rect
                key={cell.id}
                x={cell.x}
                y={drawing.height - cell.y - cell.height}
                width={cell.width}
                height={cell.height}
                fill={INKS.selected}
                fillOpacity={0.12}
                stroke={INKS.selected}
                strokeWidth={2}
                vectorEffect="non-scaling-stroke"
                pointerEvents="none"
              />
            ))}
          {asked ? (
            <rect
              x={asked.bounds.x - AROUND}
              y={drawing.height - asked.bounds.y - asked.bounds.height - AROUND}
              width={asked.bounds.width + 2 * AROUND}
              height={asked.bounds.height + 2 * AROUND}
              fill="none"
              stroke={INKS.selected}
              strokeWidth={2}
              strokeDasharray="5 3"
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          ) : null}
          {placesOf(marked).map(({ x, y }, i) => (
            <circle
              key={i}
              cx={x}
              cy={drawing.height - y}
              r={RING}
              fill="none"
              stroke={INKS.differs}
              strokeWidth={2.5}
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          ))}
        </>
      )}
      under={
        <Box component="g" sx={{ color: both ? INKS.old : INKS.spills }} opacity={both ? 1 : 1 - share}>
          <Linework drawing={legacy} />
        </Box>
      }
    />
  );
}

const NEARLY_ALL = 0.85;

/** Around all panels, with some of what is beside them. */
function blockOf(
  panels: readonly { x: number; y: number; width: number; height: number }[],
  sheet: { width: number; height: number },
) {
  const first = panels[0];
  if (!first) return { x: 0, y: 0, ...sheet };
  const x0 = Math.min(...panels.map((each) => each.x));
  const y0 = Math.min(...panels.map((each) => each.y));
  const x1 = Math.max(...panels.map((each) => each.x + each.width));
  // Of a strip as wide as the sheet, all of the sheet shows no less.
  if (x1 - x0 > NEARLY_ALL * sheet.width) return { x: 0, y: 0, ...sheet };
  // Of a strip as high as the sheet, the lower half is where nearly all of the lettering stands.
  const y1 = Math.min(Math.max(...panels.map((each) => each.y + each.height)), y0 + sheet.height * 0.42);
  const room = Math.max(x1 - x0, y1 - y0) * 0.06;
  return { x: x0 - room, y: y0 - room, width: x1 - x0 + 2 * room, height: y1 - y0 + 2 * room };
}
