import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Pen, SourceLayer } from '@mendrel/core';

/** From how many layers on they can be searched. */
const SEARCHED = 12;

interface Props {
  layers: readonly SourceLayer[];
  hidden: readonly string[];
  onChange: (hidden: readonly string[]) => void;
  /** Pens of the standard, and those that this view has for single layers. */
  pens: readonly Pick<Pen, 'id' | 'name'>[];
  own: Readonly<Record<string, string>>;
  onPens: (own: Readonly<Record<string, string>>) => void;
}

/** The layers of a drawing: a view may leave some out, and draw others with pens of its own. */
export function LayerChoice({ layers, hidden, onChange, pens, own, onPens }: Props) {
  const [search, setSearch] = useState('');
  const words = search.trim().toLowerCase();
  const listed = layers.filter(({ name }) => name.toLowerCase().includes(words));
  const out = new Set(hidden);
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 1 }}>
        <Typography component="legend" variant="h3" sx={{ color: 'text.secondary', flex: 1, p: 0 }}>
          Layers, {layers.length - out.size} of {layers.length} shown
        </Typography>
        <Button size="small" disabled={out.size === 0} onClick={() => onChange([])}>
          Show all
        </Button>
      </Box>
      {layers.length > SEARCHED ? (
        <TextField
          label="Find a layer"
          size="small"
          fullWidth
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          sx={{ mb: 1 }}
        />
      ) : null}
      <Box sx={{ maxHeight: 190, overflow: 'auto' }}>
        {listed.map(({ name, items }) => (
          <Box key={name} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <FormControlLabel
              sx={{ display: 'flex', mr: 0, flex: 1, minWidth: 0 }}
              control={
                <Checkbox
                  size="small"
                  checked={!out.has(name)}
                  onChange={(_event, checked) =>
                    onChange(checked ? hidden.filter((each) => each !== name) : [...hidden, name])
                  }
                />
              }
              label={
                <Box component="span" sx={{ display: 'flex', gap: 2 }}>
                  <Box component="span" sx={{ overflowWrap: 'anywhere' }}>
                    {name || 'no name'}
                  </Box>
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {items}
                  </Box>
                </Box>
              }
            />
            <NativeSelect
              value={own[name] ?? ''}
              inputProps={{ 'aria-label': `Pen of ${name || 'no name'}` }}
              onChange={({ target: { value } }) => {
                const others = Object.entries(own).filter(([each]) => each !== name);
                onPens(Object.fromEntries(value === '' ? others : [...others, [name, value]]));
              }}
              sx={{ fontSize: '0.75rem', width: 82, flex: 'none' }}
            >
              <option value="">usual pen</option>
              {pens.map((pen) => (
                <option key={pen.id} value={pen.id}>
                  {pen.name}
                </option>
              ))}
            </NativeSelect>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
