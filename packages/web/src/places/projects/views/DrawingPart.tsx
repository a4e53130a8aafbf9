import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { LetteringOfViews, ModuleGrid, Pen, Rect, WorkingUnit } from '@mendrel/core';
import { counted, isLikelyUnit } from '@mendrel/core';
import { Sign } from '../../../app/FindingMark';
import type { Chosen } from './chosenWindow';
import { largestScale } from './chosenWindow';
import { LayerChoice } from './LayerChoice';
import { onPaper, realWords } from './lengthWords';
import { UnitChoice } from './UnitChoice';
import { WindowFields } from './WindowFields';
import { WindowPreview } from './WindowPreview';
import type { Shape } from './windowShape';
import { shapedAs, shapeOf, SHAPES } from './windowShape';

interface Props {
  chosen: Chosen;
  onChange: (chosen: Chosen) => void;
  grid: ModuleGrid;
  /** What lengths on paper are told in, and those of the building. */
  unit: WorkingUnit;
  works: WorkingUnit;
  scales: readonly string[];
  lettering: LetteringOfViews;
  /** Those of the standard. */
  pens: readonly Pick<Pen, 'id' | 'name'>[];
  /** What can be done with the drawing as a whole. */
  actions: ReactNode;
}

const sameWindow = (a: Rect, b: Rect): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** What is to be shown of a part of a drawing: its unit, its window and its layers, and how large it will be. */
export function DrawingPart({ chosen, onChange, grid, unit, works, scales, lettering, pens, actions }: Props) {
  const { space, window } = chosen;
  const shape = shapeOf(chosen);
  const largest = largestScale(chosen, scales, grid);
  const [width, height] = [window.width * chosen.unit, window.height * chosen.unit];
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: 'flex', gap: 5 }}>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <WindowPreview chosen={chosen} lettering={lettering} onChange={onChange} />
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1 }}>
          <Typography variant="caption" sx={{ color: 'text.secondary', flex: 1 }}>
            {shape === 'corners'
              ? 'Click corner after corner; a click on the first one ends it.'
              : 'Draw a window to show a part of it.'}
          </Typography>
          <ToggleButtonGroup
            size="small"
            exclusive
            value={shape}
            aria-label="Shape of the window"
            onChange={(_event, next: Shape | null) => next && onChange(shapedAs(chosen, next))}
          >
            {(Object.keys(SHAPES) as Shape[]).map((each) => (
              <ToggleButton key={each} value={each}>
                {SHAPES[each]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Button
            size="small"
            disabled={shape === 'rectangle' && sameWindow(window, space.box)}
            onClick={() => onChange({ ...shapedAs(chosen, 'rectangle'), window: space.box })}
          >
            Show all of it
          </Button>
        </Box>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}>
          <Typography noWrap sx={{ flex: 1, fontWeight: 600 }}>
            {chosen.drawing.name}
          </Typography>
          {actions}
        </Box>
      </Box>
      <Box sx={{ width: 270, flex: 'none', display: 'flex', flexDirection: 'column', gap: 3, pt: 2 }}>
        <UnitChoice
          works={works}
          drawing={chosen.drawing}
          said={space.unit}
          unit={chosen.unit}
          onChange={(next) => onChange({ ...chosen, unit: next })}
        />
        <Box>
          <Typography sx={{ fontWeight: 600 }}>
            {realWords(width, works)} × {realWords(height, works)}
          </Typography>
          {isLikelyUnit({ width: space.box.width, height: space.box.height }, chosen.unit) ? null : (
            <Typography variant="caption" component="p" sx={{ color: 'warning.main' }}>
              <Sign weight="gap" /> An unusual size for what is drawn; look at the unit.
            </Typography>
          )}
          <Typography variant="caption" component="p" sx={{ color: 'text.secondary' }}>
            {largest
              ? `At ${largest.scale.words}, the largest that the drawing area holds: ${onPaper(largest.width, unit)} × ${onPaper(largest.height, unit)} ${unit}, ${largest.columnSpan} × ${largest.rowSpan} modules`
              : 'At no scale of the office’s list does the drawing area hold it; draw a smaller window.'}
          </Typography>
        </Box>
        <WindowFields chosen={chosen} onChange={onChange} unit={works} />
        <LayerChoice
          layers={space.layers}
          hidden={chosen.hidden}
          onChange={(hidden) => onChange({ ...chosen, hidden })}
          pens={pens}
          own={chosen.pens}
          onPens={(own) => onChange({ ...chosen, pens: own })}
        />
        {space.dropped.length > 0 ? (
          <Typography variant="caption" component="p" sx={{ color: 'text.secondary' }}>
            {counted(
              space.dropped.reduce((sum, { entities }) => sum + entities, 0),
              'piece',
            )}{' '}
            left out: {[...new Set(space.dropped.map(({ why }) => why))].slice(0, 3).join('; ')}.
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}
