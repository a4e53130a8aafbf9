import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { IssueBlocks, IssueCheck } from '@mendrel/contract';
import { ISSUE_BLOCKS } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { FindingMark, Fits } from '../../../app/FindingMark';
import { Pages } from '../../../app/Pages';
import { PlainTable } from '../../../app/PlainTable';

interface Props {
  check: IssueCheck;
  projectId: string;
}

/** Sheets that are shown at a time. */
const PAGE = 50;

const BLOCK_WORDS: Readonly<Record<IssueBlocks, string>> = {
  error: 'Sheets with something wrong do not go out',
  gap: 'Nor do sheets with something missing',
  nothing: 'Everything may go out',
};

/** What would go out, and what is wrong or missing on it, before anything is kept. */
export function IssueCheckList({ check, projectId }: Props) {
  const [page, setPage] = useState(0);
  const office = api.useOfficeQuery();
  const [change] = api.useChangeOfficeMutation();
  const { enqueueSnackbar } = useSnackbar();
  const decide = async (issueBlocks: IssueBlocks): Promise<void> => {
    if (!office.data) return;
    const { values, version } = office.data;
    const result = await change({ values, version, issueBlocks });
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const { told } = check;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'flex-start' }}>
        <Typography role="status" aria-label="In short" sx={{ flex: 1, pt: 2 }}>
          {summary(check)}
        </Typography>
        <TextField
          select
          label="In this office"
          value={office.data?.issueBlocks ?? 'error'}
          onChange={(event) => void decide(event.target.value as IssueBlocks)}
          sx={{ width: 310 }}
        >
          {ISSUE_BLOCKS.map((each) => (
            <MenuItem key={each} value={each}>
              {BLOCK_WORDS[each]}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {check.blocked ? (
        <Alert severity="error">
          Some of it may not go out as it is. Mend it first, or let this office decide otherwise.
        </Alert>
      ) : null}
      {told.length === 0 ? (
        <Fits />
      ) : (
        <Box
          sx={{ maxHeight: 330, overflow: 'auto' }}
          tabIndex={0}
          role="group"
          aria-label="Sheets with something to mend"
        >
          <PlainTable caption="Sheets with something to mend" headings={['Sheet', 'Title', 'To mend']} framed>
            {told.slice(page * PAGE, (page + 1) * PAGE).map(({ id, number, title, findings }) => (
              <tr key={id ?? number}>
                <td style={{ whiteSpace: 'nowrap' }}>
                  {id === null ? (
                    <b>{number}</b>
                  ) : (
                    <Link component={RouterLink} to={`/projects/${projectId}/register`} target="_blank">
                      {number}
                    </Link>
                  )}
                </td>
                <td>{title}</td>
                <td>
                  {findings.slice(0, 3).map((finding) => (
                    <FindingMark key={finding.message} finding={finding} />
                  ))}
                  {findings.length > 3 ? <span>and {findings.length - 3} more</span> : null}
                </td>
              </tr>
            ))}
          </PlainTable>
          <Pages of="sheets with something to mend" page={page} size={PAGE} count={told.length} onPage={setPage} />
        </Box>
      )}
    </Box>
  );
}

function summary({ sheets, errors, gaps, changed }: IssueCheck): string {
  const parts = [
    errors > 0 ? `${errors} with something wrong` : 'nothing wrong',
    gaps > 0 ? `${gaps} with something missing` : 'nothing missing',
    ...(changed > 0 ? [`${changed} changed since their last revision`] : []),
  ];
  return `${counted(sheets, 'sheet')}: ${parts.join(', ')}.`;
}
