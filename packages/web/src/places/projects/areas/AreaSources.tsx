import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { DrawingRecord } from '@mendrel/contract';
import type { AreaSettings, WorkingUnit } from '@mendrel/core';
import { UnitChoice } from '../views/UnitChoice';
import { wholeOf } from '../views/chosenWindow';

type Source = AreaSettings['sources'][number];

interface Props {
  drawings: readonly DrawingRecord[];
  sources: readonly Source[];
  works: WorkingUnit;
  /** The one that is shown. */
  shown: number;
  onShow: (place: number) => void;
  onChange: (sources: Source[]) => void;
}

/** A layer that is likely to hold outlines of areas; the first one else (common practice in names of layers). */
const likelyLayer = (layers: readonly { name: string }[]): string | undefined =>
  (
    layers.find(({ name }) => /area$/i.test(name)) ??
    layers.find(({ name }) => /area|room|raum|fl(ae|ä)che|surf/i.test(name)) ??
    layers[0]
  )?.name;

/** The drawings that areas are measured from, each with the layers of its outlines. */
export function AreaSources({ drawings, sources, works, shown, onShow, onChange }: Props) {
  const parts = drawings.flatMap((drawing) => drawing.spaces.map((space) => ({ drawing, space })));
  const partOf = (source: Source): (typeof parts)[number] | undefined =>
    parts.find(({ drawing, space }) => drawing.id === source.drawing && space.name === source.space);
  const free = parts.filter((part) => !sources.some((source) => partOf(source) === part));
  const [of, part] = [sources[shown], sources[shown] && partOf(sources[shown])];
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      {sources.map((source, place) => {
        const part = partOf(source);
        return (
          <Box key={`${source.drawing} ${source.space}`} sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <Button
              size="small"
              variant={place === shown ? 'outlined' : 'text'}
              aria-pressed={place === shown}
              onClick={() => onShow(place)}
              sx={{ minWidth: 150, justifyContent: 'flex-start', textTransform: 'none' }}
            >
              {part?.drawing.name ?? 'deleted drawing'}
            </Button>
            <TextField
              select
              size="small"
              label={`Layers of outlines in ${part?.drawing.name ?? 'it'}`}
              sx={{ flex: 1, minWidth: 0 }}
              value={source.layers}
              slotProps={{ select: { multiple: true } }}
              onChange={(event) => {
                const layers = event.target.value as unknown as string[];
                onChange(sources.map((each, i) => (i === place ? { ...each, layers } : each)));
              }}
            >
              {part?.space.layers.map(({ name, items }) => (
                <MenuItem key={name} value={name}>
                  {name || 'no name'}, {items}
                </MenuItem>
              ))}
            </TextField>
            <Button size="small" color="inherit" onClick={() => onChange(sources.filter((_, i) => i !== place))}>
              Remove
            </Button>
          </Box>
        );
      })}
      {of && part ? (
        <UnitChoice
          works={works}
          drawing={part.drawing}
          said={part.space.unit}
          unit={of.unit}
          onChange={(unit) => onChange(sources.map((each, i) => (i === shown ? { ...each, unit } : each)))}
        />
      ) : null}
      {free.length > 0 ? (
        <TextField
          select
          size="small"
          label="Measure another drawing"
          value=""
          onChange={(event) => {
            const part = free[Number(event.target.value)];
            if (!part) return;
            const layer = likelyLayer(part.space.layers);
            const added: Source = {
              drawing: part.drawing.id,
              space: part.space.name,
              layers: layer === undefined ? [] : [layer],
              unit: wholeOf(part.drawing, part.space, works).unit,
            };
            onChange([...sources, added]);
            onShow(sources.length);
          }}
        >
          {free.map(({ drawing, space }, i) => (
            <MenuItem key={`${drawing.id} ${space.name}`} value={i}>
              {drawing.spaces.length > 1 ? `${drawing.name}, ${space.name}` : drawing.name}
            </MenuItem>
          ))}
        </TextField>
      ) : sources.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          The project has no drawings yet. Bring one under Arrange, in a view; then its outlines can be measured here.
        </Typography>
      ) : null}
    </Box>
  );
}
