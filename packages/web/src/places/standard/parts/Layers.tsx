import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Layer, LayerUse, OfficeStandard } from '@mendrel/core';
import { LAYER_PRESETS, LAYER_USE_WORDS, LAYER_USES, lineSpecimen } from '@mendrel/core';
import { Specimen } from '../Specimen';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, EntryError, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

function readHolds(text: string): LayerUse[] {
  const parts = text
    .split(',')
    .map((part) => part.trim().toLowerCase())
    .filter((part) => part !== '');
  return parts.map((part) => {
    const found = LAYER_USES.find((use) => use === part || LAYER_USE_WORDS[use] === part);
    if (!found) {
      throw new EntryError(`“${part}” is not something that is drawn; there are ${LAYER_USES.join(', ')}`);
    }
    return found;
  });
}

const columnsOf = (standard: OfficeStandard): Column<Layer>[] => [
  words(
    { key: 'name', name: 'Layer', width: 190 },
    (layer) => layer.name,
    (layer, name) => ({ ...layer, name }),
  ),
  words(
    { key: 'holds', name: 'What goes on it', width: 220 },
    (layer) => layer.holds.join(', '),
    (layer, text) => ({ ...layer, holds: readHolds(text) }),
  ),
  choices(
    { key: 'pen', name: 'Pen', width: 120 },
    (layer) => layer.pen,
    (layer, pen) => ({ ...layer, pen }),
    () => standard.pens.map((pen) => ({ value: pen.id, label: `${pen.name} ${pen.width}` })),
  ),
  choices(
    { key: 'pattern', name: 'Pattern', width: 150 },
    (layer) => layer.pattern,
    (layer, pattern) => ({ ...layer, pattern }),
    () => standard.patterns.map((each) => ({ value: each.id, label: each.name })),
  ),
];

/** Layers of exported drawings. */
export function Layers() {
  const { standard, change, problemsIn } = useStandardEdit();
  return (
    <TableCard
      title="Layers of exported drawings"
      about="Each thing that is drawn goes on one layer; a layer may hold several, with commas between."
      add="Add a layer"
      path="layers"
      caption="Layers"
      columns={columnsOf(standard)}
      rows={standard.layers}
      idOf={(layer) => layer.id}
      nameOf={(layer) => layer.name}
      problems={problemsIn('layers')}
      onChange={(layers, field) => change({ layers }, field)}
      least={1}
      fresh={(rows) => ({
        id: freshId(rows, 'layer'),
        name: freshName(rows, 'NEW-LAYER'),
        pen: standard.pens[0]?.id ?? '',
        pattern: standard.patterns[0]?.id ?? '',
        holds: [],
      })}
      extra={{
        name: 'At true size',
        width: 200,
        of: (layer) => {
          const pen = standard.pens.find((each) => each.id === layer.pen);
          const pattern = standard.patterns.find((each) => each.id === layer.pattern);
          return pen ? (
            <Specimen drawing={lineSpecimen(pen, pattern, 50)} label={`A line on ${layer.name}`} trueSize bare />
          ) : null;
        },
      }}
    >
      <Typography sx={{ color: 'text.secondary', pt: 3 }}>
        What is drawn:{' '}
        {LAYER_USES.map((use) => (LAYER_USE_WORDS[use] === use ? use : `${use} (${LAYER_USE_WORDS[use]})`)).join(', ')}.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', pt: 3, flexWrap: 'wrap' }}>
        <Typography>Rename all layers</Typography>
        {(Object.keys(LAYER_PRESETS) as (keyof typeof LAYER_PRESETS)[]).map((preset) => (
          <Button
            key={preset}
            size="small"
            variant="outlined"
            onClick={() => change({ layers: [...LAYER_PRESETS[preset]] })}
          >
            {PRESET_WORDS[preset]}
          </Button>
        ))}
      </Box>
    </TableCard>
  );
}

const PRESET_WORDS: Readonly<Record<keyof typeof LAYER_PRESETS, string>> = {
  'Plain words': 'in plain words',
  Fields: 'by fields, as in ISO 13567',
  Discipline: 'by discipline, as in the US National CAD Standard',
};
