import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Issue } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { issueApi } from '../../../app/issueApi';

/** Takes an issue back, or lets it stand again. What went out is kept either way. */
export function WithdrawIssue({ issue, onClose }: { issue: Issue; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const [change, changing] = issueApi.useChangeIssueMutation();
  const stands = issue.withdrawn === null;
  const save = async (): Promise<void> => {
    const { id, projectId, version } = issue;
    const result = await change({ id, projectId, version, withdrawn: stands ? reason : null });
    if (!result.error) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="withdraw-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <DialogTitle id="withdraw-title">
          {stands ? `Withdraw issue ${issue.number}?` : `Let issue ${issue.number} stand again?`}
        </DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
          <Typography>
            {stands
              ? `${counted(issue.sheets, 'sheet')} will no longer show it. It stays in the list with the reason, and so do its sheets as they went out.`
              : 'Its sheets show it again, in its place among their issues.'}
          </Typography>
          {stands ? (
            <TextField
              label="Why"
              required
              autoFocus
              value={reason}
              onChange={({ target }) => setReason(target.value)}
              slotProps={{ htmlInput: { maxLength: 500 } }}
            />
          ) : null}
          {changing.error ? <Alert severity="error">Not changed: {errorOf(changing.error).message}</Alert> : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={(stands && reason.trim() === '') || changing.isLoading}>
            {stands ? 'Withdraw it' : 'Let it stand'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
