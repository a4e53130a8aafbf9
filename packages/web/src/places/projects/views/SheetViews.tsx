import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import LockOutlinedIcon from '@mui/icons-material/LockOutlined';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import type { Finding, ModuleGrid, View, WorkingUnit } from '@mendrel/core';
import { moduleAt, moduleLabel } from '@mendrel/core';
import { FindingMark, Sign } from '../../../app/FindingMark';
import { newUuid } from '../../../app/newUuid';
import type { PlaceOver } from './placing';
import { carry } from './carried';
import { ViewDetails } from './ViewDetails';
import type { Whole } from './wholes';

interface Props {
  sheet: Sheet;
  grid: ModuleGrid;
  findings: readonly Finding[];
  scales: readonly string[];
  unit: WorkingUnit;
  /** Where views lie over those of other sheets. */
  over: readonly PlaceOver[];
  /** The chosen ones; the first is shown in detail. */
  selected: readonly string[];
  /** @param add to those that are chosen already, or away from them */
  onSelect: (id: string, add: boolean) => void;
  /** Views of the project that one can be the large-scale part of. */
  wholesOf: (view: View) => readonly Whole[];
  onPartOf: (view: View, whole: string) => void;
  onChange: (view: View) => Promise<boolean>;
  onAdd: (view: View) => Promise<void>;
  /** Chooses the drawing of a view; of a new one when it is not named. */
  onChooseDrawing: (view: View | undefined) => void;
  onRemove: (id: string) => void;
  /** Puts a view into the tray of the project. */
  onIntoTray: (view: View) => void;
  onPlace: (view: View) => void;
  /** Stands all views into free modules. */
  onArrange: () => void;
  /** Stands the views of several sheets anew. */
  onArrangeSheets: () => void;
}

/** The scale that a new view begins with: 1:100, or 1/8" to the foot (common practice), or the first of the list. */
const usualScale = (scales: readonly string[]): string | null =>
  ['1:100', `1/8" = 1'-0"`].find((scale) => scales.includes(scale)) ?? scales[0] ?? null;

/** The views of a sheet, those without a place among them, with the selected one in detail. */
export function SheetViews(props: Props) {
  const { sheet, selected, onSelect, onAdd, findings } = props;
  const [first] = selected;
  const add = (): void => {
    void onAdd({
      id: newUuid(),
      name: `View ${sheet.views.length + 1}`,
      realWidth: 10_000,
      realHeight: 8_000,
      scale: usualScale(props.scales),
      module: null,
    });
  };
  return (
    <Box component="section" aria-labelledby="views-heading">
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 1 }}>
        <Typography id="views-heading" variant="h3" component="h3" sx={{ color: 'text.secondary', flex: 1 }}>
          Views
        </Typography>
        <Button size="small" onClick={add}>
          Add a view
        </Button>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 2, '& button': { flex: '1 1 auto' } }}>
        <Button size="small" variant="outlined" onClick={() => props.onChooseDrawing(undefined)}>
          From a drawing…
        </Button>
        {sheet.views.length > 1 ? (
          <Button size="small" variant="outlined" onClick={props.onArrange}>
            Arrange all
          </Button>
        ) : null}
        <Button size="small" variant="outlined" onClick={props.onArrangeSheets}>
          Over sheets…
        </Button>
      </Box>
      {sheet.views.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          None yet. Take one from a drawing, or add one and give it its real size.
        </Typography>
      ) : null}
      {sheet.views.map((view) => {
        const own = findings.filter((each) => each.where.view === view.id);
        return (
          <Box key={view.id} sx={{ borderTop: 1, borderColor: 'divider' }}>
            <ButtonBase
              draggable={view.module === null}
              onDragStart={(event) => carry(event, { view, from: sheet })}
              onClick={(event) => onSelect(view.id, event.ctrlKey || event.metaKey)}
              aria-expanded={view.id === first}
              aria-pressed={selected.includes(view.id)}
              sx={{
                width: '100%',
                justifyContent: 'flex-start',
                gap: 2,
                py: 2,
                textAlign: 'left',
                font: 'inherit',
                fontWeight: selected.includes(view.id) ? 600 : 400,
                '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>{view.name}</Box>
              {view.locked ? (
                <LockOutlinedIcon titleAccess="locked" sx={{ fontSize: 14, color: 'text.secondary' }} />
              ) : null}
              <Box sx={{ color: view.module ? 'primary.main' : 'warning.main', fontSize: '0.75rem' }}>
                {labelOf(view, props.grid) ?? (
                  <>
                    <Sign weight="gap" /> no place yet
                  </>
                )}
              </Box>
            </ButtonBase>
            {own[0] ? (
              <Typography variant="caption" component="div" sx={{ pb: 1.5 }}>
                <FindingMark finding={own[0]} />
              </Typography>
            ) : null}
            {view.id === first ? (
              <ViewDetails
                key={`${sheet.id} ${view.id}`}
                {...props}
                view={view}
                over={props.over.filter((each) => each.view === view.id)}
                wholes={props.wholesOf(view)}
              />
            ) : null}
          </Box>
        );
      })}
    </Box>
  );
}

/** What the office calls the module that a view starts in; undefined while it has no place. */
function labelOf({ module }: View, grid: ModuleGrid): string | undefined {
  const at = module === null ? undefined : moduleAt(module, grid);
  return at ? moduleLabel(at.column, at.row, grid) : (module ?? undefined);
}
