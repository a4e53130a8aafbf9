import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { SourceLayer } from '@mendrel/core';

/** From how many layers on they can be searched. */
const SEARCHED = 12;

interface Props {
  layers: readonly SourceLayer[];
  hidden: readonly string[];
  onChange: (hidden: readonly string[]) => void;
}

/** The layers of a drawing, of which a view may leave some out. */
export function LayerChoice({ layers, hidden, onChange }: Props) {
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
          <FormControlLabel
            key={name}
            sx={{ display: 'flex', mr: 0 }}
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
        ))}
      </Box>
    </Box>
  );
}
