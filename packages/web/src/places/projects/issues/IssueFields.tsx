import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { IssueWish, Project, Sheet } from '@mendrel/contract';
import { counted, rowsOf } from '@mendrel/core';
import { api } from '../../../app/api';
import { issueApi } from '../../../app/issueApi';
import { nameOf } from '../sets/setWords';
import type { TypedRecipient } from './recipients';
import { Recipients } from './Recipients';

/** An issue while it is typed. */
export interface TypedIssue extends Omit<IssueWish, 'recipients'> {
  recipients: readonly TypedRecipient[];
}

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  typed: TypedIssue;
  onChange: (typed: TypedIssue) => void;
}

/** The choice of all sheets, and of no transmittal. */
const ALL = 'all';
const NONE = 'none';

/** What goes out, when, what for and to whom. */
export function IssueFields({ project, sheets, typed, onChange }: Props) {
  const sets = issueApi.useProjectSetsQuery(project.id);
  const { setId, purpose } = typed;
  const choose = (choice: string): void => {
    const set = sets.currentData?.find(({ id }) => id === choice);
    // What is said of the set is usually what it goes out for.
    onChange({ ...typed, setId: set?.id ?? null, purpose: purpose || (set?.values['set.purpose'] ?? '') });
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.2fr 1.2fr 0.8fr', gap: 4 }}>
        <TextField
          select
          label="What goes out"
          value={sets.currentData ? (setId ?? ALL) : ''}
          onChange={({ target }) => choose(target.value)}
        >
          <MenuItem value={ALL}>All sheets of the register ({sheets.length})</MenuItem>
          {(sets.currentData ?? []).map((set) => (
            <MenuItem key={set.id} value={set.id} disabled={set.sheets.length === 0}>
              {nameOf(set)} ({counted(set.sheets.length, 'sheet')})
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label="Purpose"
          required
          autoFocus
          value={typed.purpose}
          onChange={({ target }) => onChange({ ...typed, purpose: target.value })}
          helperText="For example For tender"
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <TextField
          label="Date"
          required
          value={typed.date}
          onChange={({ target }) => onChange({ ...typed, date: target.value })}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
      </Box>
      <People project={project} typed={typed} onChange={onChange} />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.2fr 0.8fr', gap: 4 }}>
        <Transmittal typed={typed} onChange={onChange} />
      </Box>
      <TextField
        label="Remarks"
        multiline
        value={typed.remarks}
        onChange={({ target }) => onChange({ ...typed, remarks: target.value })}
        helperText="Kept with the issue for the office; sheets do not show them."
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
    </Box>
  );
}

function People({ project, typed, onChange }: Omit<Props, 'sheets'>) {
  const office = api.useOfficeQuery();
  const tables = api.useProjectTablesQuery(project.id);
  const rows = rowsOf(office.data?.tables ?? {}, tables.currentData?.tables ?? {});
  return (
    <Recipients
      typed={typed.recipients}
      contacts={rows['contacts'] ?? []}
      onChange={(recipients) => onChange({ ...typed, recipients })}
    />
  );
}

/** The sheet that goes with it: any design of the office, in one of its sizes. */
function Transmittal({ typed, onChange }: Pick<Props, 'typed' | 'onChange'>) {
  const designs = api.useDesignsQuery();
  const { transmittal } = typed;
  const design = designs.data?.find(({ id }) => id === transmittal?.designId);
  const sizes = design?.sizes ?? [];
  const choose = (designId: string): void => {
    const first = designs.data?.find(({ id }) => id === designId)?.sizes[0];
    onChange({ ...typed, transmittal: designId === NONE || !first ? null : { designId, size: first } });
  };
  return (
    <>
      <TextField
        select
        label="Transmittal sheet"
        value={designs.data ? (transmittal?.designId ?? NONE) : ''}
        onChange={({ target }) => choose(target.value)}
        helperText="A design of the office, filled with what goes out and to whom."
      >
        <MenuItem value={NONE}>None</MenuItem>
        {(designs.data ?? []).map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {transmittal ? (
        <TextField
          select
          label="Its size"
          value={sizes.includes(transmittal.size) ? transmittal.size : ''}
          onChange={({ target }) => onChange({ ...typed, transmittal: { ...transmittal, size: target.value } })}
        >
          {sizes.map((size) => (
            <MenuItem key={size} value={size}>
              {size}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
    </>
  );
}
