import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import type { Issue } from '@mendrel/contract';
import { counted, recipientWords } from '@mendrel/core';
import type { Downloads } from '../../../app/download';
import { CompareIssues } from './CompareIssues';
import { IssuedSheets } from './IssuedSheets';
import { WithdrawIssue } from './WithdrawIssue';

interface Props {
  issue: Issue;
  /** All issues of its project, the newest first. */
  issues: readonly Issue[];
  downloads: Downloads;
}

/** An issue as it went out: its sheets, its files, and what is another in it than in one before. */
export function IssueDetail({ issue, issues, downloads }: Props) {
  const [shown, setShown] = useState<'sheets' | 'compared'>('sheets');
  const [withdrawing, setWithdrawing] = useState(false);
  const others = issues.filter(({ id }) => id !== issue.id);
  const { id, number, date, purpose, set, recipients, remarks, transmittal, withdrawn } = issue;
  const address = `/api/issues/${id}`;
  const file = (path: string, what: string, words: string) => (
    <Button
      variant="outlined"
      disabled={downloads.fetching !== undefined}
      onClick={() => void downloads.download(`${address}/${path}`, what)}
    >
      {words}
    </Button>
  );
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box sx={{ px: 4, pt: 4, display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 300 }}>
          <Link component={RouterLink} to={`/projects/${issue.projectId}/issues`}>
            All issues
          </Link>
          <Typography variant="h2" component="h2" sx={{ mt: 1 }}>
            Issue {number}: {purpose}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            {[
              date,
              set,
              counted(issue.sheets, 'sheet'),
              recipients.length > 0 ? `to ${recipientWords(recipients)}` : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </Typography>
          {remarks ? <Typography>{remarks}</Typography> : null}
        </Box>
        {file('set.pdf', `Issue ${number}`, 'Download as PDF')}
        {transmittal ? file('transmittal.pdf', `The transmittal of issue ${number}`, 'Transmittal PDF') : null}
        {file('transmittal.csv', `The list of issue ${number}`, 'List as CSV')}
        <Button color="inherit" onClick={() => setWithdrawing(true)}>
          {withdrawn === null ? 'Withdraw…' : 'Let it stand again'}
        </Button>
      </Box>
      {withdrawn === null ? null : (
        <Alert severity="info" sx={{ mx: 4, mt: 2 }}>
          Withdrawn: {withdrawn}. Sheets no longer show it; what went out is kept.
        </Alert>
      )}
      <Tabs
        value={shown}
        aria-label="Parts of the issue"
        onChange={(_event, next: 'sheets' | 'compared') => setShown(next)}
        sx={{ px: 2, borderBottom: 1, borderColor: 'divider', flex: 'none' }}
      >
        <Tab value="sheets" label="Sheets as they went out" />
        <Tab value="compared" label="What changed" disabled={others.length === 0} />
      </Tabs>
      {shown === 'sheets' ? (
        <IssuedSheets issue={issue} downloads={downloads} />
      ) : (
        <CompareIssues issue={issue} others={others} />
      )}
      {withdrawing ? <WithdrawIssue issue={issue} onClose={() => setWithdrawing(false)} /> : null}
    </Box>
  );
}
