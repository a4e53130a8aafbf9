import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import type { Finding, ModuleGrid, PlacedView, View, WorkingUnit } from '@mendrel/core';
import { moduleAt, moduleLabel, modulesOf, parseScale, scaleChoices } from '@mendrel/core';
import { FindingMark, Sign } from '../../../app/FindingMark';
import { onPaper, realWords, typedReal } from './lengthWords';

interface Props {
  sheet: Sheet;
  grid: ModuleGrid;
  placed: readonly PlacedView[];
  findings: readonly Finding[];
  scales: readonly string[];
  unit: WorkingUnit;
  selected: string | undefined;
  onSelect: (id: string) => void;
  onChange: (view: View) => Promise<boolean>;
  onAdd: (view: View) => Promise<void>;
  /** Chooses the drawing of a view; of a new one when it is not named. */
  onChooseDrawing: (view: View | undefined) => void;
  onRemove: (id: string) => void;
  onPlace: (view: View) => void;
  /** Stands all views into free modules. */
  onArrange: () => void;
  /** Stands the views of several sheets anew. */
  onArrangeSheets: () => void;
}

/** The scale that a new view begins with: 1:100, or 1/8" to the foot (common practice), or the first of the list. */
const usualScale = (scales: readonly string[]): string | null =>
  ['1:100', `1/8" = 1'-0"`].find((scale) => scales.includes(scale)) ?? scales[0] ?? null;

/** The views of a sheet: those that stand on it and those that wait in the tray, with the selected one in detail. */
export function ViewTray(props: Props) {
  const { sheet, selected, onSelect, onAdd, findings } = props;
  const add = (): void => {
    let n = sheet.views.length + 1;
    while (sheet.views.some((view) => view.id === `view-${n}`)) n++;
    void onAdd({
      id: `view-${n}`,
      name: `View ${n}`,
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
      <Box sx={{ display: 'flex', gap: 2, mb: 2 }}>
        <Button size="small" variant="outlined" fullWidth onClick={() => props.onChooseDrawing(undefined)}>
          From a drawing…
        </Button>
        {sheet.views.length > 1 ? (
          <Button size="small" variant="outlined" fullWidth onClick={props.onArrange}>
            Arrange all
          </Button>
        ) : null}
        <Button size="small" variant="outlined" fullWidth onClick={props.onArrangeSheets}>
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
              onClick={() => onSelect(view.id)}
              aria-expanded={view.id === selected}
              sx={{
                width: '100%',
                justifyContent: 'flex-start',
                gap: 2,
                py: 2,
                textAlign: 'left',
                font: 'inherit',
                fontWeight: view.id === selected ? 600 : 400,
                '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>{view.name}</Box>
              <Box sx={{ color: view.module ? 'primary.main' : 'warning.main', fontSize: '0.75rem' }}>
                {labelOf(view, props.grid) ?? (
                  <>
                    <Sign weight="gap" /> in the tray
                  </>
                )}
              </Box>
            </ButtonBase>
            {own[0] ? (
              <Typography variant="caption" component="div" sx={{ pb: 1.5 }}>
                <FindingMark finding={own[0]} />
              </Typography>
            ) : null}
            {view.id === selected ? <ViewDetails key={view.id} {...props} view={view} /> : null}
          </Box>
        );
      })}
    </Box>
  );
}

function ViewDetails({
  view,
  grid,
  scales,
  unit,
  onChange,
  onRemove,
  onPlace,
  onChooseDrawing,
}: Props & { view: View }) {
  // A view whose scale is in feet and inches was measured in them.
  const own = view.scale?.includes('=') ? 'in' : unit;
  const choices = scaleChoices(view, scales.map(parseScale), grid);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3, pb: 4, pt: 1 }}>
      <Committed
        label="Name"
        value={view.name}
        read={(text) => (text.trim() === '' ? undefined : { ...view, name: text.trim().slice(0, 120) })}
        onChange={onChange}
        problem="A view needs a name."
      />
      <Box>
        <Typography sx={{ overflowWrap: 'anywhere', mb: 1 }}>
          {view.drawing ? view.drawing.name : 'No drawing yet: its corners stand for it.'}
        </Typography>
        <Box sx={{ display: 'flex', gap: 2 }}>
          <Button size="small" variant="outlined" onClick={() => onChooseDrawing(view)}>
            {view.drawing ? 'Another window or drawing…' : 'Choose a drawing…'}
          </Button>
          {view.drawing ? (
            <Button size="small" color="inherit" onClick={() => void onChange(withoutDrawing(view))}>
              Take it off
            </Button>
          ) : null}
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>
        <Committed
          label="Real width"
          value={realWords(view.realWidth, own)}
          read={(text) => withLength(view, 'realWidth', text, own)}
          onChange={onChange}
          problem="Write 12.5 m or 41'-0&quot;."
        />
        <Committed
          label="Real height"
          value={realWords(view.realHeight, own)}
          read={(text) => withLength(view, 'realHeight', text, own)}
          onChange={onChange}
          problem="Write 12.5 m or 41'-0&quot;."
        />
      </Box>
      <TextField
        select
        label="Scale"
        value={view.scale ?? 'none'}
        onChange={(event) =>
          void onChange({ ...view, scale: event.target.value === 'none' ? null : event.target.value })
        }
      >
        <MenuItem value="none">Sized to fill its module: not to scale</MenuItem>
        {choices.map((choice) => (
          <MenuItem
            key={choice.scale.words}
            value={choice.scale.words}
            sx={{ color: choice.fits ? 'text.primary' : 'text.secondary' }}
          >
            <Box component="span" sx={{ minWidth: 92, display: 'inline-block' }}>
              {choice.scale.words}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.75rem' }}>
              {onPaper(choice.width, unit)} × {onPaper(choice.height, unit)} {unit}
              {choice.fits ? '' : ', too large'}
            </Box>
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Module"
        value={view.module ?? 'tray'}
        onChange={(event) =>
          void onChange({ ...view, module: event.target.value === 'tray' ? null : event.target.value })
        }
      >
        <MenuItem value="tray">In the tray</MenuItem>
        {modulesToChoose(grid, view.module).map(({ name, label }) => (
          <MenuItem key={name} value={name}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button size="small" variant="outlined" onClick={() => onPlace(view)}>
          Place where it is free
        </Button>
        <Button size="small" color="inherit" onClick={() => onRemove(view.id)}>
          Remove
        </Button>
      </Box>
    </Box>
  );
}

function withoutDrawing(view: View): View {
  const left = { ...view };
  delete left.drawing;
  return left;
}

/** What the office calls the module that a view starts in; undefined while it waits in the tray. */
function labelOf({ module }: View, grid: ModuleGrid): string | undefined {
  const at = module === null ? undefined : moduleAt(module, grid);
  return at ? moduleLabel(at.column, at.row, grid) : (module ?? undefined);
}

function modulesToChoose(grid: ModuleGrid, own: string | null): { name: string; label: string }[] {
  const all = modulesOf(grid);
  return own === null || all.some(({ name }) => name === own) ? all : [{ name: own, label: own }, ...all];
}

function withLength(view: View, key: 'realWidth' | 'realHeight', text: string, unit: WorkingUnit): View | undefined {
  const mm = typedReal(text, unit);
  return mm !== undefined && mm > 0 && mm <= 10_000_000 ? { ...view, [key]: mm } : undefined;
}

interface CommittedProps {
  label: string;
  value: string;
  read: (text: string) => View | undefined;
  onChange: (view: View) => Promise<boolean>;
  problem: string;
}

/** A text field that saves when it is left or Enter is pressed; what cannot be used stays for correction. */
function Committed({ label, value, read, onChange, problem }: CommittedProps) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState(false);
  const finish = async (): Promise<void> => {
    if (typed === undefined || typed === value) {
      setTyped(undefined);
      return;
    }
    const next = read(typed);
    setWrong(!next);
    if (next && (await onChange(next))) setTyped(undefined);
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      error={wrong}
      helperText={wrong ? problem : undefined}
      onChange={(event) => {
        setTyped(event.target.value);
        setWrong(false);
      }}
      onBlur={() => void finish()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') void finish();
        else if (event.key === 'Escape') {
          setTyped(undefined);
          setWrong(false);
        }
      }}
    />
  );
}
