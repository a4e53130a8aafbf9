import { useState } from 'react';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';
import type { Issue, IssuedSheet } from '@mendrel/contract';
import { faultOf } from '../../../app/api';
import type { Downloads } from '../../../app/download';
import { issueApi } from '../../../app/issueApi';
import { Pages } from '../../../app/Pages';
import { Failed, Loading } from '../../../app/states';
import { Paper } from '../../../paper/Paper';

/** Sheets listed at a time. */
const PAGE = 100;

/** The sheets of an issue, each as it was drawn then. */
export function IssuedSheets({ issue, downloads }: { issue: Issue; downloads: Downloads }) {
  const found = issueApi.useIssuedSheetsQuery(issue.id);
  const [page, setPage] = useState(0);
  const [chosen, setChosen] = useState(0);
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const sheets = found.currentData;
  if (!sheets) return <Loading what="its sheets" />;
  const current = sheets[chosen];
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
      <Box
        sx={{
          width: 300,
          flex: 'none',
          overflow: 'auto',
          borderRight: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <List component="nav" aria-label="Issued sheets" dense disablePadding>
          {sheets.slice(page * PAGE, (page + 1) * PAGE).map(({ position, number, title, revision, size }) => (
            <ListItemButton key={position} selected={position === chosen} onClick={() => setChosen(position)}>
              <ListItemText
                primary={
                  <>
                    <b style={{ fontWeight: 600 }}>{number}</b> {title}
                  </>
                }
                secondary={[size, revision ? `Rev ${revision}` : ''].filter(Boolean).join(', ')}
                slotProps={{ primary: { noWrap: true, title: `${number} ${title}` } }}
              />
            </ListItemButton>
          ))}
        </List>
        <Pages of="issued sheets" page={page} size={PAGE} count={sheets.length} onPage={setPage} />
      </Box>
      {current ? <OneSheet key={current.position} issue={issue} sheet={current} downloads={downloads} /> : null}
    </Box>
  );
}

function OneSheet({ issue, sheet, downloads }: { issue: Issue; sheet: IssuedSheet; downloads: Downloads }) {
  const { position, number, title, hash } = sheet;
  const found = issueApi.useIssuedSheetQuery({ id: issue.id, position });
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const { currentData } = found;
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
      <Box
        sx={{ px: 4, py: 2, display: 'flex', gap: 4, alignItems: 'baseline', borderBottom: 1, borderColor: 'divider' }}
      >
        <Typography noWrap sx={{ flex: 1, fontWeight: 600 }} title={`SHA-256 ${hash}`}>
          {number} {title}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }} title={`SHA-256 ${hash}`}>
          {hash.slice(0, 8)}
        </Typography>
        {(['pdf', 'dxf', 'svg'] as const).map((kind) => (
          <Link
            key={kind}
            component="button"
            type="button"
            aria-label={`${number} as it went out, ${kind.toUpperCase()}`}
            onClick={() =>
              void downloads.download(
                `/api/issues/${issue.id}/sheets/${position}/sheet.${kind}`,
                `${number} of issue ${issue.number}`,
              )
            }
          >
            {kind.toUpperCase()}
          </Link>
        ))}
      </Box>
      {currentData ? (
        <Paper drawing={currentData.drawing} unit="mm" label={`${number} as it went out`} />
      ) : (
        <Loading what="the sheet" />
      )}
    </Box>
  );
}
