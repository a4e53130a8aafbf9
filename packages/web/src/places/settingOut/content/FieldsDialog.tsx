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
import { isWords, parametersOf, SCOPES } from '@mendrel/core';
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
    (each) => isWords(each) && `${each.name} ${each.key}`.toLowerCase().includes(wanted),
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
        <Box
          sx={{ mt: 3, maxHeight: 320, overflowY: 'auto', border: 1, borderColor: 'divider', borderRadius: 1, px: 2 }}
        >
          {SCOPES.map((scope) => {
            const here = listed.filter((each) => each.scope === scope);
            if (here.length === 0) return null;
            return (
              <Box key={scope} role="group" aria-labelledby={`fields-${scope}`} sx={{ py: 2 }}>
                <Typography id={`fields-${scope}`} variant="h3" component="h3" sx={{ color: 'text.secondary' }}>
                  {scope}
                </Typography>
                {here.map((each) => (
                  <FieldChoice
                    key={each.key}
                    parameter={each}
                    place={chosen.indexOf(each.key)}
                    onToggle={() =>
                      setChosen(
                        chosen.includes(each.key)
                          ? chosen.filter((other) => other !== each.key)
                          : [...chosen, each.key],
                      )
                    }
                  />
                ))}
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

interface ChoiceProps {
  parameter: Parameter;
  /** Its place among those chosen; -1 for none. */
  place: number;
  onToggle: () => void;
}

/** A parameter to choose, with the place it was chosen for and its key. */
function FieldChoice({ parameter: { key, name }, place, onToggle }: ChoiceProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center' }}>
      <FormControlLabel
        sx={{ flex: 1 }}
        label={place < 0 ? name : `${place + 1}. ${name}`}
        control={<Checkbox size="small" checked={place >= 0} onChange={onToggle} />}
      />
      <Typography variant="caption" sx={{ color: 'text.secondary' }}>
        {`{${key}}`}
      </Typography>
    </Box>
  );
}
