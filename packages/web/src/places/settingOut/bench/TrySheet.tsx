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
import type { Design, OfficeStandard, Values } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { Failed } from '../../../app/states';
import { TypedValues } from './TypedValues';

/** A sheet with the project that it is one of. */
export interface ChosenSheet {
  project: Project;
  sheet: Sheet;
}

interface Props {
  design: Design;
  standard: OfficeStandard;
  tried: Values;
  /** Values that were typed over before. */
  typed: Values;
  /** Asks for a sheet in place of examples where one was chosen, and for the values typed over it. */
  onTry: (chosen: ChosenSheet | undefined, typed: Values) => void;
  onClose: () => void;
}

const sheetInWords = ({ number, title }: Sheet): string => `${number}  ${title.replaceAll('\n', ' ')}`;

/** Chooses a sheet of any project to try the design on, and types values over those that are tried. */
export function TrySheet({ design, standard, tried, typed: before, onTry, onClose }: Props) {
  const [typed, setTyped] = useState(before);
  const projects = api.useProjectsQuery();
  const [project, setProject] = useState<Project | null>(null);
  const sheets = sheetApi.useSheetsQuery(project?.id ?? skipToken);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const fault = faultOf(projects) ?? faultOf(sheets);
  const none = project !== null && sheets.currentData?.length === 0;
  return (
    <Dialog open onClose={onClose} aria-labelledby="try-sheet-title" fullWidth maxWidth="xs">
      <DialogTitle id="try-sheet-title">Try on a real sheet, or your own values</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Typography sx={{ color: 'text.secondary' }}>
          A sheet brings its data, its project’s and the office’s, with the rows of all tables. Nothing of the project
          changes.
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
        <TypedValues design={design} standard={standard} tried={tried} typed={typed} onSet={setTyped} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={(project !== null && !sheet) || (!sheet && typed === before)}
          onClick={() => {
            onTry(project && sheet ? { project, sheet } : undefined, typed);
            onClose();
          }}
        >
          Try on
        </Button>
      </DialogActions>
    </Dialog>
  );
}
