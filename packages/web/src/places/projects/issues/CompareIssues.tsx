import { useState } from 'react';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Issue, IssueComparison } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { faultOf } from '../../../app/api';
import { issueApi } from '../../../app/issueApi';
import { Failed, Loading } from '../../../app/states';
import { OverlaidPaper } from '../../../paper/OverlaidPaper';
import { Paper } from '../../../paper/Paper';

interface Props {
  issue: Issue;
  others: readonly Issue[];
}

type Compared = IssueComparison['sheets'][number];

const KIND_WORDS = { added: 'new', gone: 'gone', changed: 'changed' } as const;
/** Differences that are named in the list; the others stand beside the sheet. */
const NAMED = 2;

/** What is another in an issue than in one before: sheets that came, went and changed, the changed ones over each other. */
export function CompareIssues({ issue, others }: Props) {
  // Usually the one before it.
  const [before, setBefore] = useState(
    () => (others.find(({ number }) => number < issue.number) ?? others[0])?.id ?? '',
  );
  const found = issueApi.useCompareIssuesQuery({ id: issue.id, before });
  const [chosen, setChosen] = useState(0);
  const fault = faultOf(found);
  const compared = found.currentData;
  const current = compared?.sheets[chosen] ?? compared?.sheets[0];
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
      <Box
        sx={{
          width: 340,
          flex: 'none',
          overflow: 'auto',
          borderRight: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <Box sx={{ p: 4, pb: 2 }}>
          <TextField
            select
            fullWidth
            label="Compared with"
            value={before}
            onChange={({ target }) => {
              setBefore(target.value);
              setChosen(0);
            }}
          >
            {others.map(({ id, number, purpose, date }) => (
              <MenuItem key={id} value={id}>
                Issue {number}: {purpose}, {date}
              </MenuItem>
            ))}
          </TextField>
          {compared ? (
            <Typography role="status" aria-label="In short" sx={{ mt: 3 }}>
              {summary(compared)}
            </Typography>
          ) : null}
        </Box>
        {fault ? <Failed error={fault} retry={() => void found.refetch()} /> : null}
        {compared ? (
          <List component="nav" aria-label="Sheets that differ" dense disablePadding>
            {compared.sheets.map((sheet, i) => (
              <ListItemButton
                key={`${sheet.kind} ${sheet.before} ${sheet.after}`}
                selected={sheet === current}
                onClick={() => setChosen(i)}
                sx={{ display: 'block' }}
              >
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                  <Typography noWrap sx={{ flex: 1 }} title={sheet.title}>
                    <b>{sheet.number}</b> {sheet.title}
                  </Typography>
                  <Chip size="small" variant="outlined" label={KIND_WORDS[sheet.kind]} />
                </Box>
                {sheet.differences.slice(0, NAMED).map(({ words }) => (
                  <Typography key={words} variant="body2" noWrap title={words} sx={{ color: 'text.secondary' }}>
                    {words}
                  </Typography>
                ))}
              </ListItemButton>
            ))}
          </List>
        ) : fault ? null : (
          <Loading what="what changed" />
        )}
      </Box>
      {current ? <OneSheet key={`${before} ${chosen}`} issue={issue} before={before} sheet={current} /> : null}
    </Box>
  );
}

function summary({ same, sheets }: IssueComparison): string {
  const having = (kind: Compared['kind']): number => sheets.filter((sheet) => sheet.kind === kind).length;
  if (sheets.length === 0) return `All ${counted(same, 'sheet')} are the same.`;
  const parts = (['changed', 'added', 'gone'] as const).flatMap((kind) =>
    having(kind) > 0 ? [`${having(kind)} ${KIND_WORDS[kind]}`] : [],
  );
  return `${parts.join(', ')}, ${same} the same.`;
}

/** A sheet of one issue or of both: as it was and as it is on one paper. */
function OneSheet({ issue, before, sheet }: { issue: Issue; before: string; sheet: Compared }) {
  const was = issueApi.useIssuedSheetQuery(
    { id: before, position: sheet.before ?? 0 },
    { skip: sheet.before === null },
  );
  const is = issueApi.useIssuedSheetQuery({ id: issue.id, position: sheet.after ?? 0 }, { skip: sheet.after === null });
  const fault = faultOf(was) ?? faultOf(is);
  if (fault) return <Failed error={fault} />;
  const [old, now] = [was.currentData?.drawing, is.currentData?.drawing];
  const waiting = (sheet.before !== null && !old) || (sheet.after !== null && !now);
  const only = now ?? old;
  if (waiting || !only) return <Loading what="the sheet" />;
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
      {sheet.differences.length > 0 ? (
        <Box component="ul" sx={{ m: 0, py: 2, pl: 9, pr: 4, maxHeight: 110, overflow: 'auto' }} tabIndex={0}>
          {sheet.differences.map(({ words }) => (
            <li key={words}>{words}</li>
          ))}
        </Box>
      ) : null}
      {old && now ? (
        <OverlaidPaper old={old} now={now} label={`${sheet.number} in both issues`} />
      ) : (
        <Paper drawing={only} unit="mm" label={`${sheet.number}, ${now ? 'new' : 'gone'}`} />
      )}
    </Box>
  );
}
