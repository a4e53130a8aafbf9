import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { DeskRecord } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { Card } from '../../app/Card';

const LIST = { listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 3 } as const;
const ASIDE = { color: 'text.secondary' } as const;

/** Sets that go out next. */
export function GoingOut({ due }: { due: DeskRecord['due'] }) {
  return (
    <Card scrolls={false} title="Going out next">
      {due.length === 0 ? (
        <Typography sx={ASIDE}>No set has a day on which it goes out. It is entered with the set.</Typography>
      ) : (
        <Box component="ul" sx={LIST}>
          {due.map(({ project, set, due: day, overdue, sheets, unfit }) => (
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
                {unfit > 0 ? `, ${unfit} with something to mend` : ', all of which fit'}
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
