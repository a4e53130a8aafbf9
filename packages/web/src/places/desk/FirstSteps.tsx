import type { ReactNode } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { Card } from '../../app/Card';

/** What an office that has just begun does, in order. */
export function FirstSteps({ design }: { design: boolean }) {
  const to = (place: string, words: string): ReactNode => (
    <Link component={RouterLink} to={place}>
      {words}
    </Link>
  );
  return (
    <Card title="First steps" scrolls={false} wide>
      <Box component="ol" sx={{ m: 0, pl: 5, '& li': { py: 1 } }}>
        <li>
          Enter the {to('/standard/office', 'office data')} and look through the{' '}
          {to('/standard/sizes', 'office standard')}: sizes, frames, lettering and pens are filled in.
        </li>
        <li>
          {design ? 'There is a design; ' : null}
          {to('/designs', design ? 'start another' : 'Start a design')} or {to('/intake', 'convert an old title block')}
          .
        </li>
        <li>{to('/projects', 'Add a project')}, choose its design and fill in its register.</li>
      </Box>
    </Card>
  );
}
