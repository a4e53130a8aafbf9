import Box from '@mui/material/Box';
import type { SourceAreas } from '@mendrel/contract';
import type { AreaFinding, AreaSettings, LetteringOfViews, MeasuredArea, Rect } from '@mendrel/core';
import { groupOfArea } from '@mendrel/core';
import { pieceAddress } from '../../../app/assetAddress';
import { INKS } from '../../../app/inks';
import { groundOf } from '../../../app/groupInks';

/** How large the plan may be, in pixels. */
const [MOST_WIDTH, MOST_HEIGHT] = [640, 420];
const MARGIN = 0.02;
const HAIRLINE = 0.6;

interface Props {
  source: SourceAreas;
  box: Rect;
  settings: Pick<AreaSettings, 'groups' | 'groupOf'>;
  lettering: LetteringOfViews;
  /** The area that is pointed at in the list. */
  lit: MeasuredArea | undefined;
  findings: readonly AreaFinding[];
}

/** A drawing with the outlines that were measured, on the grounds of their groups, and where something is wrong with them. */
export function AreaPlan({ source, box, settings, lettering, lit, findings }: Props) {
  const margin = Math.max(box.width, box.height) * MARGIN;
  const whole = {
    x: box.x - margin,
    y: box.y - margin,
    width: box.width + 2 * margin,
    height: box.height + 2 * margin,
  };
  const scale = Math.min(MOST_WIDTH / whole.width, MOST_HEIGHT / whole.height);
  const [width, height] = [whole.width * scale, whole.height * scale];
  if (source.linework === null) return null;
  const look = {
    linework: source.linework,
    width,
    height,
    from: { x: whole.x, y: whole.y },
    perUnit: scale,
    hidden: [],
    ...lettering,
    least: HAIRLINE,
  };
  const across = (x: number): number => (x - whole.x) * scale;
  const down = (y: number): number => height - (y - whole.y) * scale;
  const path = (ring: readonly number[]): string => {
    let data = '';
    for (let i = 0; i + 1 < ring.length; i += 2)
      data += `${i === 0 ? 'M' : 'L'}${across(ring[i] ?? 0).toFixed(1)} ${down(ring[i + 1] ?? 0).toFixed(1)}`;
    return `${data}Z`;
  };
  return (
    <Box
      style={{ width, height }}
      sx={{ position: 'relative', bgcolor: 'office.sheet', boxShadow: '0 0 0 1px rgba(0,0,0,0.18)', flex: 'none' }}
    >
      <Box
        component="img"
        alt={source.drawing ?? ''}
        src={pieceAddress(look)}
        sx={{ display: 'block', width: 1, height: 1 }}
      />
      <svg width={width} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
        {source.areas.map((area, i) => {
          const place = settings.groups.indexOf(groupOfArea(area, settings) ?? '');
          // Where there are groups, what is in none is to be seen.
          const [alone, dashes] = settings.groups.length === 0 ? [INKS.selected, undefined] : [INKS.spills, '5 3'];
          return (
            <path
              key={i}
              d={path(area.ring)}
              fill={place < 0 ? 'none' : groundOf(place)}
              fillOpacity={0.38}
              stroke={area === lit ? INKS.selected : place < 0 ? alone : groundOf(place)}
              strokeWidth={area === lit ? 3 : 1.5}
              strokeDasharray={place < 0 && area !== lit ? dashes : undefined}
            />
          );
        })}
        {findings.map(({ at }, i) => (
          <circle key={i} cx={across(at.x)} cy={down(at.y)} r={7} fill="none" stroke={INKS.spills} strokeWidth={2} />
        ))}
      </svg>
    </Box>
  );
}
