import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { Project } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { Card } from '../../../app/Card';
import { PlaceBar, TrailLink } from '../../../app/Shell';
import { Empty, Failed, Loading } from '../../../app/states';
import type { DesignAdoption } from './adoption';
import { adoptionOf, behind } from './adoption';
import { MoveProjects } from './MoveProjects';

/** Which projects draw with which revision of which design, and what moving them to the newest would do. */
export default function Adoption() {
  const designs = api.useDesignsQuery();
  const projects = api.useProjectsQuery();
  const [moving, setMoving] = useState<DesignAdoption>();
  const fault = faultOf(designs) ?? faultOf(projects);
  if (fault) return <Failed error={fault} retry={() => void Promise.all([designs.refetch(), projects.refetch()])} />;
  if (!designs.data || !projects.data) return <Loading what="who uses which design" />;
  const all = adoptionOf(designs.data, projects.data);
  return (
    <>
      <PlaceBar title="Adoption" trail={<TrailLink to="/designs">Designs</TrailLink>} />
      {all.length === 0 ? (
        <Empty title="No project has a design yet">Choose one under the data of a project.</Empty>
      ) : (
        <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
          {all.map((adoption) => (
            <OneDesign key={adoption.design.id} adoption={adoption} onMove={() => setMoving(adoption)} />
          ))}
        </Box>
      )}
      {moving ? <MoveProjects adoption={moving} onClose={() => setMoving(undefined)} /> : null}
    </>
  );
}

function OneDesign({ adoption, onMove }: { adoption: DesignAdoption; onMove: () => void }) {
  const { design, uses } = adoption;
  const late = behind(adoption);
  const most = Math.max(...uses.map(({ projects }) => projects.length));
  return (
    <Card
      title={design.name}
      about={
        late.length === 0
          ? 'Every project draws with its newest revision or follows its draft.'
          : `${counted(late.length, 'project')} behind revision ${design.revision}.`
      }
      action={
        late.length > 0 ? (
          <Button variant="outlined" onClick={onMove}>
            See what moving them would do
          </Button>
        ) : null
      }
      scrolls={false}
    >
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 2 }}>
        {uses.map(({ revision, projects }) => (
          <Box
            component="li"
            key={revision ?? 'draft'}
            sx={{ display: 'grid', gridTemplateColumns: '110px 160px minmax(0, 1fr)', gap: 4, alignItems: 'center' }}
          >
            <span>{revision === null ? 'The draft' : `Revision ${revision}`}</span>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
              <Box
                sx={{
                  height: 10,
                  width: `${Math.max(4, (projects.length / most) * 120)}px`,
                  bgcolor: revision === design.revision || revision === null ? 'primary.main' : 'warning.main',
                }}
              />
              {projects.length}
            </Box>
            <Named projects={projects} />
          </Box>
        ))}
      </Box>
    </Card>
  );
}

/** Projects that are named; of more how many. */
const NAMED = 4;

function Named({ projects }: { projects: readonly Project[] }) {
  return (
    <Typography noWrap component="span">
      {projects.slice(0, NAMED).map(({ id, name }, i) => (
        <span key={id}>
          {i > 0 ? ', ' : ''}
          <Link component={RouterLink} to={`/projects/${id}/data`}>
            {name}
          </Link>
        </span>
      ))}
      {projects.length > NAMED ? ` and ${projects.length - NAMED} more` : ''}
    </Typography>
  );
}
