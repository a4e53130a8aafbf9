import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ModuleGrid, View, WorkingUnit } from '@mendrel/core';
import { formatLength, modulesOf, movedTo, parseScale, scaleChoices, unmoved } from '@mendrel/core';
import { Committed } from './Committed';
import { onPaper, realWords, typedReal } from './lengthWords';
import type { PlaceOver } from './placing';
import type { Whole } from './wholes';

interface Props {
  view: View;
  grid: ModuleGrid;
  scales: readonly string[];
  unit: WorkingUnit;
  /** Where it lies over a view of another sheet. */
  over: readonly PlaceOver[];
  /** Views of the project that it can be the large-scale part of, with the numbers of their sheets. */
  wholes: readonly Whole[];
  /** @param whole its id; '' for none */
  onPartOf: (view: View, whole: string) => void;
  onChange: (view: View) => Promise<boolean>;
  onChooseDrawing: (view: View) => void;
  onRemove: (id: string) => void;
  onIntoTray: (view: View) => void;
  onPlace: (view: View) => void;
}

/** What stands for no module in the choice of them. */
const NOWHERE = 'nowhere';
/** Over so many sheets a view can be laid by a button each. */
const MOST_OFFERED = 4;

/** One view: its name, what it shows, how large it is, where it stands. */
export function ViewDetails({
  view,
  grid,
  scales,
  unit,
  over,
  wholes,
  onPartOf,
  onChange,
  onRemove,
  onIntoTray,
  onPlace,
  onChooseDrawing,
}: Props) {
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
              {!choice.fits ? ', too large' : view.drawing && !choice.titled ? ', its title below' : ''}
            </Box>
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Module"
        value={view.module ?? NOWHERE}
        disabled={view.locked ?? false}
        onChange={(event) =>
          void onChange({ ...unmoved(view), module: event.target.value === NOWHERE ? null : event.target.value })
        }
      >
        <MenuItem value={NOWHERE}>No place yet</MenuItem>
        {modulesToChoose(grid, view.module).map(({ name, label }) => (
          <MenuItem key={name} value={name}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      {view.module !== null && over.length > 0 ? (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
          <Box component="span">Lay it over</Box>
          {over.slice(0, MOST_OFFERED).map(({ at, number }) => (
            <Button
              key={number}
              size="small"
              variant="outlined"
              disabled={view.locked ?? false}
              title={`Every point of the building where it is on ${number}`}
              onClick={() => void onChange(movedTo(view, at, grid))}
            >
              {number}
            </Button>
          ))}
        </Box>
      ) : null}
      {view.shift ? (
        <Typography>
          {shiftWords(view.shift, unit)} off the middle of its modules.{' '}
          <Button size="small" disabled={view.locked ?? false} onClick={() => void onChange(unmoved(view))}>
            Back to the middle
          </Button>
        </Typography>
      ) : null}
      {wholes.length > 0 ? (
        <TextField
          select
          label="Large-scale part of"
          value={wholes.some(({ id }) => id === view.partOf) ? view.partOf : ''}
          helperText="Its outline is marked there, with its number"
          onChange={({ target }) => onPartOf(view, target.value)}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">nothing</MenuItem>
          {wholes.map(({ id, sheet, name }) => (
            <MenuItem key={`${sheet} ${id}`} value={id}>
              {sheet} {name}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={view.locked ?? false}
            onChange={({ target }) => void onChange(lockedAs(view, target.checked))}
          />
        }
        label="Locked: it stays where it is"
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
        <Button
          size="small"
          variant="outlined"
          disabled={view.locked ?? false}
          onClick={() => onPlace(view)}
          sx={{ flex: '1 1 100%' }}
        >
          Place where it is free
        </Button>
        <Button
          size="small"
          color="inherit"
          title="It waits there for any sheet of the project"
          disabled={view.locked ?? false}
          onClick={() => onIntoTray(view)}
        >
          Into the tray
        </Button>
        <Button size="small" color="inherit" onClick={() => onRemove(view.id)}>
          Remove
        </Button>
      </Box>
    </Box>
  );
}

/** How far something was moved, in words. */
function shiftWords({ x, y }: NonNullable<View['shift']>, unit: WorkingUnit): string {
  const part = (mm: number, more: string, less: string): string[] =>
    Math.abs(mm) < 0.005 ? [] : [`${formatLength(Math.abs(mm), unit)} ${unit} ${mm > 0 ? more : less}`];
  return [...part(x, 'right', 'left'), ...part(y, 'up', 'down')].join(', ');
}

function lockedAs(view: View, locked: boolean): View {
  const next: View = { ...view, locked };
  if (!locked) delete next.locked;
  return next;
}

function withoutDrawing(view: View): View {
  const left = { ...view };
  delete left.drawing;
  return left;
}

function modulesToChoose(grid: ModuleGrid, own: string | null): { name: string; label: string }[] {
  const all = modulesOf(grid);
  return own === null || all.some(({ name }) => name === own) ? all : [{ name: own, label: own }, ...all];
}

function withLength(view: View, key: 'realWidth' | 'realHeight', text: string, unit: WorkingUnit): View | undefined {
  const mm = typedReal(text, unit);
  return mm !== undefined && mm > 0 && mm <= 10_000_000 ? { ...view, [key]: mm } : undefined;
}
