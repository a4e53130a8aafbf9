import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { ApiError, Issue, IssueWish, Project, Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { errorOf, faultOf } from '../../../app/api';
import { dayOf } from '../../../app/dayOf';
import { issueApi } from '../../../app/issueApi';
import { newUuid } from '../../../app/newUuid';
import { Failed, Loading } from '../../../app/states';
import { IssueCheckList } from './IssueCheckList';
import { IssueFields } from './IssueFields';
import type { TypedIssue } from './IssueFields';
import { freshRecipient, namedRecipients } from './recipients';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  /** The issue before, whose recipients and transmittal are usually those of the next. */
  last: Issue | undefined;
  onMade: (issue: Issue) => void;
  onClose: () => void;
}

const begun = (last: Issue | undefined): TypedIssue => ({
  setId: null,
  date: dayOf(new Date()),
  purpose: '',
  remarks: '',
  recipients: (last?.recipients ?? []).map((each) => freshRecipient(each)),
  transmittal: last?.transmittal?.designId
    ? { designId: last.transmittal.designId, size: last.transmittal.size }
    : null,
});

const wishOf = ({ recipients, ...typed }: TypedIssue): IssueWish => ({
  ...typed,
  recipients: namedRecipients(recipients),
});

/** An issue in two steps: what goes out and to whom, then what would be incomplete. */
export function MakeIssue({ project, sheets, last, onMade, onClose }: Props) {
  // Sent again it is the same issue.
  const [id] = useState(newUuid);
  const [typed, setTyped] = useState<TypedIssue>(() => begun(last));
  const [checking, setChecking] = useState(false);
  const [make, making] = issueApi.useMakeIssueMutation();
  const [problem, setProblem] = useState<ApiError>();
  const { enqueueSnackbar } = useSnackbar();
  const ready = typed.purpose.trim() !== '' && typed.date.trim() !== '';
  const issue = async (): Promise<void> => {
    const result = await make({ projectId: project.id, id, ...wishOf(typed) });
    if (result.error) {
      setProblem(errorOf(result.error));
      return;
    }
    enqueueSnackbar(`Issue ${result.data.number}: ${counted(result.data.sheets, 'sheet')} kept as they are`, {
      variant: 'success',
    });
    onClose();
    onMade(result.data);
  };
  return (
    <Dialog open onClose={making.isLoading ? undefined : onClose} fullWidth maxWidth="md" aria-labelledby="issue-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (checking) void issue();
          else setChecking(true);
        }}
      >
        <DialogTitle id="issue-title">{checking ? 'What would go out' : 'Issue a set'}</DialogTitle>
        <DialogContent sx={{ minHeight: 420, pt: '8px !important' }}>
          {checking ? (
            <Check project={project} typed={typed} />
          ) : (
            <IssueFields project={project} sheets={sheets} typed={typed} onChange={setTyped} />
          )}
          {problem ? (
            <Alert severity="error" sx={{ mt: 3 }}>
              Nothing was issued: {problem.message}
            </Alert>
          ) : null}
        </DialogContent>
        <DialogActions>
          {making.isLoading ? (
            <Typography role="status" sx={{ flex: 1, pl: 4, color: 'text.secondary' }}>
              Drawing and keeping each sheet…
            </Typography>
          ) : null}
          {checking ? (
            <Button
              color="inherit"
              disabled={making.isLoading}
              onClick={() => {
                setChecking(false);
                setProblem(undefined);
              }}
            >
              Back
            </Button>
          ) : null}
          <Button color="inherit" onClick={onClose} disabled={making.isLoading}>
            Cancel
          </Button>
          {checking ? (
            <IssueButton project={project} typed={typed} busy={making.isLoading} />
          ) : (
            <Button type="submit" variant="contained" disabled={!ready}>
              Check what would go out
            </Button>
          )}
        </DialogActions>
      </form>
    </Dialog>
  );
}

interface StepProps {
  project: Project;
  typed: TypedIssue;
}

function Check({ project, typed }: StepProps) {
  const found = issueApi.useCheckIssueQuery({ projectId: project.id, ...wishOf(typed) });
  if (found.error && faultOf(found)) return <Failed error={found.error} retry={() => void found.refetch()} />;
  if (!found.currentData) return <Loading what="what would go out" />;
  return <IssueCheckList check={found.currentData} projectId={project.id} />;
}

/** Issues what was checked, unless the office holds it back. */
function IssueButton({ project, typed, busy }: StepProps & { busy: boolean }) {
  const { currentData: check } = issueApi.useCheckIssueQuery({ projectId: project.id, ...wishOf(typed) });
  return (
    <Button type="submit" variant="contained" disabled={!check || check.blocked || busy}>
      {busy ? 'Issuing…' : check ? `Issue ${counted(check.sheets, 'sheet')}` : 'Issue'}
    </Button>
  );
}
