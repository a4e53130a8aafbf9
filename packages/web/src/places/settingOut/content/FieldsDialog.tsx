import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { OfficeStandard, Parameter } from '@mendrel/core';
import { parametersOf } from '@mendrel/core';
import { Sign } from '../../../app/FindingMark';

interface Props {
  standard: OfficeStandard;
  /** Cells there are to take them. */
  cells: number;
  onPut: (parameters: readonly Parameter[]) => void;
  onClose: () => void;
}

/** Chooses parameters in the order in which they go into the selected cells, each with its name as caption. */
export function FieldsDialog({ standard, cells, onPut, onClose }: Props) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [search, setSearch] = useState('');
  const parameters = parametersOf(standard);
  const wanted = search.trim().toLowerCase();
  const listed = [...parameters.values()].filter(
    (each) => each.kind !== 'picture' && `${each.name} ${each.key}`.toLowerCase().includes(wanted),
  );
  const over = chosen.length > cells;
  return (
    <Dialog open onClose={onClose} aria-labelledby="fields-title" fullWidth maxWidth="sm">
      <DialogTitle id="fields-title">Add fields to {cells} cells</DialogTitle>
      <DialogContent>
        <Typography sx={{ color: 'text.secondary', mb: 3 }}>
          Choose parameters in the order of the cells. Each cell gets the name as its caption and the value as its
          field.
        </Typography>
        <TextField label="Find" autoFocus value={search} onChange={(event) => setSearch(event.target.value)} />
        <Box sx={{ columns: 2, mt: 3, maxHeight: 300, overflow: 'auto' }}>
          {listed.map(({ key, name }) => {
            const place = chosen.indexOf(key);
            return (
              <Box key={key} sx={{ breakInside: 'avoid' }}>
                <FormControlLabel
                  title={key}
                  label={place < 0 ? name : `${place + 1}. ${name}`}
                  control={
                    <Checkbox
                      size="small"
                      checked={place >= 0}
                      onChange={() => setChosen(place < 0 ? [...chosen, key] : chosen.filter((each) => each !== key))}
                    />
                  }
                />
              </Box>
            );
          })}
        </Box>
        <Typography role="status" sx={{ mt: 3, color: over ? 'error.main' : 'text.secondary' }}>
          {over ? (
            <>
              <Sign weight="error" />{' '}
            </>
          ) : null}
          {over ? `${chosen.length} chosen, for ${cells} cells` : `${chosen.length} of ${cells} cells`}
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={chosen.length === 0 || over}
          onClick={() => {
            onPut(chosen.flatMap((key) => parameters.get(key) ?? []));
            onClose();
          }}
        >
          Add fields
        </Button>
      </DialogActions>
    </Dialog>
  );
}
