import { useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { skipToken } from '@reduxjs/toolkit/query';
import type { Project, Sheet } from '@mendrel/contract';
import { api, faultOf } from '../../../app/api';
import { Failed } from '../../../app/states';

interface Props {
  onTry: (project: Project, sheet: Sheet) => void;
  onClose: () => void;
}

const sheetInWords = ({ number, title }: Sheet): string => `${number}  ${title.replaceAll('\n', ' ')}`;

/** Chooses a sheet of any project to try the design on. */
export function TrySheet({ onTry, onClose }: Props) {
  const projects = api.useProjectsQuery();
  const [project, setProject] = useState<Project | null>(null);
  const sheets = api.useSheetsQuery(project?.id ?? skipToken);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const fault = faultOf(projects) ?? faultOf(sheets);
  const none = project !== null && sheets.currentData?.length === 0;
  return (
    <Dialog open onClose={onClose} aria-labelledby="try-sheet-title" fullWidth maxWidth="xs">
      <DialogTitle id="try-sheet-title">Try on a real sheet</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Typography sx={{ color: 'text.secondary' }}>
          Its data, its project’s and the office’s, with the rows of all tables. Nothing of the project changes.
        </Typography>
        {fault ? <Failed error={fault} retry={() => void projects.refetch()} /> : null}
        <Autocomplete
          options={projects.data ?? []}
          value={project}
          getOptionLabel={({ name }) => name}
          getOptionKey={({ id }) => id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          noOptionsText="No project"
          onChange={(_event, next) => {
            setProject(next);
            setSheet(null);
          }}
          renderInput={(input) => <TextField {...input} label="Project" />}
        />
        <Autocomplete
          options={sheets.currentData ?? []}
          value={sheet}
          disabled={!project || none}
          getOptionLabel={sheetInWords}
          getOptionKey={({ id }) => id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          noOptionsText="No sheet"
          onChange={(_event, next) => setSheet(next)}
          renderInput={(input) => (
            <TextField {...input} label="Sheet" helperText={none ? 'This project has no sheets yet.' : undefined} />
          )}
        />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!project || !sheet}
          onClick={() => {
            if (project && sheet) onTry(project, sheet);
            onClose();
          }}
        >
          Try on
        </Button>
      </DialogActions>
    </Dialog>
  );
}
