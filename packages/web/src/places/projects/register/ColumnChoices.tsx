import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import IconButton from '@mui/material/IconButton';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import ListItemText from '@mui/material/ListItemText';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ArrowDownwardIcon from '@mui/icons-material/ArrowDownward';
import ArrowUpwardIcon from '@mui/icons-material/ArrowUpward';
import type { ColumnChoice } from './columnChoice';
import { chosenColumns, shifted, toggled, USUAL_CHOICE } from './columnChoice';

interface Props {
  columns: readonly { field: string; headerName?: string }[];
  /** Columns by which rows can be grouped. */
  groups: readonly { field: string; name: string }[];
  choice: ColumnChoice;
  usual: (field: string) => boolean;
  onChange: (choice: ColumnChoice) => void;
  onClose: () => void;
}

/** Which columns are seen, in which order, and what rows are grouped by; kept in this browser. */
export function ColumnChoices({ columns, groups, choice, usual, onChange, onClose }: Props) {
  const seen = chosenColumns(columns, choice, usual);
  const fields = seen.map(({ field }) => field);
  const others = columns.filter(({ field }) => !fields.includes(field));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="columns-title">
      <DialogTitle id="columns-title">Columns of the register</DialogTitle>
      <DialogContent>
        <TextField
          select
          fullWidth
          label="Group rows by"
          value={groups.some(({ field }) => field === choice.groupBy) ? choice.groupBy : ''}
          onChange={({ target }) => onChange({ ...choice, groupBy: target.value === '' ? undefined : target.value })}
          sx={{ mt: 2, mb: 3 }}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">nothing</MenuItem>
          {groups.map(({ field, name }) => (
            <MenuItem key={field} value={field}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <List dense disablePadding aria-label="Columns">
          {[...seen, ...others].map(({ field, headerName = field }) => {
            const place = fields.indexOf(field);
            return (
              <ListItem
                key={field}
                disableGutters
                secondaryAction={
                  place < 0 ? null : (
                    <>
                      <IconButton
                        size="small"
                        aria-label={`Move ${headerName} to the front`}
                        disabled={place === 0}
                        onClick={() => onChange(shifted(choice, fields, field, -1))}
                      >
                        <ArrowUpwardIcon fontSize="small" />
                      </IconButton>
                      <IconButton
                        size="small"
                        aria-label={`Move ${headerName} to the back`}
                        disabled={place === fields.length - 1}
                        onClick={() => onChange(shifted(choice, fields, field, 1))}
                      >
                        <ArrowDownwardIcon fontSize="small" />
                      </IconButton>
                    </>
                  )
                }
              >
                <Checkbox
                  size="small"
                  checked={place >= 0}
                  onChange={(_event, show) => onChange(toggled(choice, field, show, usual(field)))}
                  slotProps={{ input: { 'aria-label': `Show ${headerName}` } }}
                />
                <ListItemText primary={headerName} />
              </ListItem>
            );
          })}
        </List>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={() => onChange(USUAL_CHOICE)}>
          As usual
        </Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
