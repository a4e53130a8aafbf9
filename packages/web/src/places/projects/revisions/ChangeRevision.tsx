import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ApiError, Revision, RevisionChange, Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { codesInWords, sheetsWith } from './chosenSheets';
import { RevisionFields } from './RevisionFields';
import { wordsOf } from './revisionWords';

interface Props {
  revision: Revision;
  sheets: readonly Sheet[];
  onClose: () => void;
}

/** A revision that was made: what is said of it can be mended, and it can be withdrawn; its codes stay what they are. */
export function ChangeRevision({ revision, sheets, onClose }: Props) {
  const [words, setWords] = useState(() => wordsOf(revision));
  const [reason, setReason] = useState<string>();
  const [change, changing] = api.useChangeRevisionMutation();
  const [problem, setProblem] = useState<Partial<ApiError>>();
  const { withdrawn } = revision;
  const on = sheetsWith(sheets, revision.id);
  const save = async (changed: Omit<RevisionChange, 'version'>): Promise<void> => {
    const { id, projectId, version } = revision;
    const result = await change({ id, projectId, version, ...changed });
    if (result.error) setProblem(errorOf(result.error));
    else onClose();
  };
  const withdrawing = reason !== undefined;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="change-revision">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void save(withdrawing ? { withdrawn: reason } : words);
        }}
      >
        <DialogTitle id="change-revision">
          {withdrawing ? 'Withdraw' : 'Revision'} {codesInWords(on.map(({ code }) => code))}
        </DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          {withdrawn !== null ? <Alert severity="info">Withdrawn: {withdrawn}</Alert> : null}
          {withdrawing ? (
            <>
              <Typography>
                {counted(on.length, 'sheet')} will no longer show it. It stays in this list with the reason, and its
                code is not given again.
              </Typography>
              <TextField
                label="Why it is withdrawn"
                required
                autoFocus
                value={reason}
                onChange={(event) => setReason(event.target.value)}
              />
            </>
          ) : (
            <>
              <RevisionFields words={words} problem={problem} onChange={setWords} />
              <Box>
                <Typography component="h3" sx={{ fontWeight: 600 }}>
                  On {counted(on.length, 'sheet')}
                </Typography>
                <Box
                  component="ul"
                  tabIndex={0}
                  aria-label="Sheets with this revision"
                  sx={{ m: 0, mt: 1, p: 0, listStyle: 'none', maxHeight: 150, overflow: 'auto', columns: 2 }}
                >
                  {on.map(({ sheet, code }) => (
                    <Typography key={sheet.id} component="li" noWrap title={sheet.title}>
                      <b>{code}</b> {sheet.number} {sheet.title}
                    </Typography>
                  ))}
                </Box>
              </Box>
            </>
          )}
          {problem ? <Alert severity="error">Not changed: {problem.message}</Alert> : null}
        </DialogContent>
        <DialogActions>
          {withdrawing ? null : withdrawn === null ? (
            <Button color="error" onClick={() => setReason('')} sx={{ mr: 'auto' }}>
              Withdraw…
            </Button>
          ) : (
            <Button onClick={() => void save({ withdrawn: null })} disabled={changing.isLoading} sx={{ mr: 'auto' }}>
              Let it stand again
            </Button>
          )}
          <Button color="inherit" onClick={withdrawing ? () => setReason(undefined) : onClose}>
            {withdrawing ? 'Back' : 'Cancel'}
          </Button>
          <Button
            type="submit"
            variant="contained"
            color={withdrawing ? 'error' : 'primary'}
            disabled={changing.isLoading || (withdrawing && reason.trim() === '')}
          >
            {withdrawing ? 'Withdraw it' : 'Save'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
