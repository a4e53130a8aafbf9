import { useState } from 'react';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Project, Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api } from '../../../app/api';
import { DesignRevision } from '../swap/DesignRevision';
import { SwapDialog } from '../swap/SwapDialog';
import type { ProjectSheet } from '../sheetDrawings';
import type { SheetEdit } from '../edits/sheetEdits';

interface Props {
  project: Project;
  chosen: readonly Sheet[];
  sources: readonly ProjectSheet[];
  /** @returns why nothing was changed */
  onSet: (edits: SheetEdit[]) => Promise<string | undefined>;
  onClose: () => void;
}

const LIKE_OTHERS = 'others';

/** A design of their own for chosen sheets, or that of their kind again; what it would do is shown before it is done. */
export function DesignOfSheets({ project, chosen, sources, onSet, onClose }: Props) {
  const designs = api.useDesignsQuery();
  const [first] = chosen;
  const [id, setId] = useState(first?.design?.id ?? LIKE_OTHERS);
  const [revision, setRevision] = useState(first?.design?.revision);
  const [asked, setAsked] = useState(false);
  const design = id === LIKE_OTHERS ? null : { id, ...(revision === undefined ? {} : { revision }) };
  const name = designs.data?.find((each) => each.id === id)?.name;
  const these = chosen.length === 1 ? (first?.number ?? '') : counted(chosen.length, 'sheet');
  if (asked)
    return (
      <SwapDialog
        project={project}
        swap={{ sheets: { ids: chosen.map((sheet) => sheet.id), design } }}
        words={design ? `Draw ${these} with ${name ?? 'another design'}` : `Draw ${these} like all of the kind`}
        sources={sources}
        onApply={() => onSet(chosen.map((sheet) => ({ sheet, change: { design } })))}
        onClose={onClose}
      />
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="own-design">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(true);
        }}
      >
        <DialogTitle id="own-design">Design of {these}</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          <TextField
            select
            label="Drawn with"
            value={designs.data ? id : ''}
            onChange={({ target }) => {
              setId(target.value);
              setRevision(undefined);
            }}
            helperText="A design of their own stays when the project gets another one."
          >
            <MenuItem value={LIKE_OTHERS}>The design of their kind</MenuItem>
            {(designs.data ?? []).map((each) => (
              <MenuItem key={each.id} value={each.id}>
                {each.name}
              </MenuItem>
            ))}
          </TextField>
          {design ? (
            <DesignRevision designId={design.id} value={revision} onSet={setRevision} label="Revision of it" />
          ) : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={!designs.data}>
            Show what it would do
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
