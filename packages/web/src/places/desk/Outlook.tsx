import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { DeskRecord } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { Card } from '../../app/Card';

const LIST = { listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 3 } as const;
const ASIDE = { color: 'text.secondary' } as const;

/** How the sheets of a set stand; that they fit is said only of those that were looked at as they are now. */
function stateWords({ sheets, unfit, known }: { sheets: number; unfit: number; known: boolean }): string {
  if (sheets === 0) return '';
  if (unfit > 0) return `, ${unfit} with something to mend`;
  return known ? ', all of which fit' : ', not all looked at yet';
}

/** Sets that go out next. */
export function GoingOut({ due, waiting }: Pick<DeskRecord, 'due' | 'waiting'>) {
  return (
    <Card scrolls={false} title="Going out next">
      {due.length === 0 ? (
        <Typography sx={ASIDE}>No set has a day on which it goes out. It is entered with the set.</Typography>
      ) : (
        <Box component="ul" sx={LIST}>
          {due.map(({ project, set, due: day, overdue, sheets, looked, unfit }) => (
            <Box component="li" key={set.id}>
              <Typography>
                <Link component={RouterLink} to={`/projects/${project.id}/issues`}>
                  {set.name}
                </Link>{' '}
                of {project.name}
              </Typography>
              <Typography sx={ASIDE}>
                {day}
                {overdue ? <b>, overdue</b> : null}; {counted(sheets, 'sheet')}
                {stateWords({ sheets, unfit, known: looked === sheets && waiting === 0 })}
              </Typography>
            </Box>
          ))}
        </Box>
      )}
    </Card>
  );
}

/** Designs of which projects use an older revision than the newest. */
export function Behind({ late }: { late: DeskRecord['late'] }) {
  return (
    <Card scrolls={false} title="Revisions of designs">
      {late.length === 0 ? (
        <Typography sx={ASIDE}>No project uses an older revision of a design than the newest.</Typography>
      ) : (
        <Box component="ul" sx={LIST}>
          {late.map(({ id, name, newest, behind, projects }) => (
            <li key={id}>
              <Typography>
                <Link component={RouterLink} to="/designs/adoption">
                  {name}
                </Link>{' '}
                revision {newest}
              </Typography>
              <Typography sx={ASIDE}>
                {projects === 1
                  ? 'Its only project uses an older one'
                  : `${behind} of ${projects} projects ${behind === 1 ? 'uses' : 'use'} an older one`}
              </Typography>
            </li>
          ))}
        </Box>
      )}
    </Card>
  );
}
