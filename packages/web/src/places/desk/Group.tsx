import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { DeskGroup, DeskProject } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { FindingMark } from '../../app/FindingMark';

/** One thing to do: what it is, how it is mended, and where it stands. */
export function Group({ group }: { group: DeskGroup }) {
  const { finding, varied, design, sheets, projects, named } = group;
  const [open, setOpen] = useState(false);
  return (
    <Box component="li" sx={{ py: 3, borderTop: 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'baseline' }}>
        <Box sx={{ flex: 1, minWidth: 0, fontWeight: 600, overflowWrap: 'anywhere' }}>
          <FindingMark finding={varied ? { ...finding, message: `At worst: ${finding.message}` } : finding} />
        </Box>
        {sheets > 0 ? (
          <Typography sx={{ flex: 'none', fontVariantNumeric: 'tabular-nums' }}>{counted(sheets, 'sheet')}</Typography>
        ) : null}
      </Box>
      {design || finding.mend !== undefined ? (
        <Typography sx={{ color: 'text.secondary', pt: 1 }}>
          {design ? (
            <>
              In{' '}
              <Link component={RouterLink} to={`/designs/${design.id}`}>
                {design.name}
              </Link>
              {design.revision === null ? ', the draft. ' : `, revision ${design.revision}. `}
            </>
          ) : null}
          {finding.mend === undefined ? null : `Fix: ${finding.mend}.`}
        </Typography>
      ) : null}
      {open ? (
        <AllProjects group={group} />
      ) : (
        <Projects
          place={group.place}
          projects={named}
          more={
            projects > named.length ? (
              <Link component="button" type="button" onClick={() => setOpen(true)}>
                Show all {projects} projects
              </Link>
            ) : null
          }
        />
      )}
    </Box>
  );
}

/** All projects in which it stands, the first of them until the others are here. */
function AllProjects({ group }: { group: DeskGroup }) {
  const { data, error } = api.useDeskGroupQuery(group.key);
  return (
    <Projects
      place={group.place}
      projects={data?.named ?? group.named}
      more={data ? null : error ? errorOf(error).message : `Looking up ${group.projects} projects…`}
    />
  );
}

interface ProjectsProps {
  place: DeskGroup['place'];
  projects: readonly DeskProject[];
  more: React.ReactNode;
}

function Projects({ place, projects, more }: ProjectsProps) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: 320, overflow: 'auto' }}>
      {projects.map(({ id, name, sheets, named }) => (
        <Box component="li" key={id} sx={{ display: 'flex', gap: 4, pt: 1 }}>
          <Link
            component={RouterLink}
            to={`/projects/${id}/${place}`}
            sx={{ flex: named.length > 0 ? '0 0 30%' : '0 1 auto', minWidth: 0, overflowWrap: 'anywhere' }}
          >
            {name}
          </Link>
          <Box sx={{ flex: 1, minWidth: 0, color: 'text.secondary' }}>
            {named.map(({ number }) => number).join(', ')}
            {sheets > named.length && named.length > 0 ? ` and ${sheets - named.length} more` : ''}
          </Box>
        </Box>
      ))}
      {more ? (
        <Box component="li" sx={{ pt: 1 }}>
          {more}
        </Box>
      ) : null}
    </Box>
  );
}
