import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { Project } from '@mendrel/contract';
import { counted, worstFinding, toMend } from '@mendrel/core';
import { api, faultOf } from '../../app/api';
import { Card } from '../../app/Card';
import { FindingMark, Fits } from '../../app/FindingMark';
import { PlaceBar } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';
import { useDrawnProject } from '../projects/useDrawnProject';

/** What needs attention now. */
export default function Desk() {
  const projects = api.useProjectsQuery();
  const office = api.useOfficeQuery();
  const legacy = api.useLegacyDrawingsQuery();
  const designs = api.useDesignsQuery();
  const begun = !designs.data || !projects.data || (designs.data.length > 0 && projects.data.length > 0);
  const waiting = legacy.data?.filter((each) => each.designId === null) ?? [];
  const fault = faultOf(projects);
  if (fault) return <Failed error={fault} retry={() => void projects.refetch()} />;
  return (
    <>
      <PlaceBar title="Desk">
        <Typography sx={{ color: 'text.secondary' }}>{office.data?.values['office.name']}</Typography>
      </PlaceBar>
      <Box
        sx={{
          flex: 1,
          overflow: 'auto',
          p: 6,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 2fr) minmax(260px, 1fr)',
          columnGap: 5,
          alignContent: 'start',
          alignItems: 'start',
        }}
      >
        {begun ? null : <FirstSteps design={(designs.data?.length ?? 0) > 0} />}
        <Card scrolls={false} title="Projects">
          {projects.data ? (
            projects.data.map((project) => (
              <Suspense key={project.id} fallback={<Loading what={project.name} />}>
                <ProjectRow project={project} />
              </Suspense>
            ))
          ) : (
            <Loading what="the projects" />
          )}
          {projects.data?.length === 0 ? (
            <Typography sx={{ color: 'text.secondary' }}>
              No projects yet.{' '}
              <Link component={RouterLink} to="/projects">
                Add the first one
              </Link>
              .
            </Typography>
          ) : null}
        </Card>
        <Card scrolls={false} title="Waiting in Intake">
          {waiting.map((drawing) => (
            <Typography key={drawing.id} sx={{ py: 1.5 }}>
              <Link component={RouterLink} to={`/intake/${drawing.id}`}>
                {drawing.name}
              </Link>
            </Typography>
          ))}
          {legacy.data && waiting.length === 0 ? (
            <Typography sx={{ color: 'text.secondary' }}>
              No legacy drawings to convert.{' '}
              <Link component={RouterLink} to="/intake">
                Add one
              </Link>
              .
            </Typography>
          ) : null}
        </Card>
      </Box>
    </>
  );
}

/** What an office that has just begun does, in order. */
function FirstSteps({ design }: { design: boolean }) {
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

/** Most sheets named for one project; the rest is a number. */
const NAMED = 5;

function ProjectRow({ project }: { project: Project }) {
  const { drawn, sheets, design, fault, retry } = useDrawnProject(project);
  const troubled = drawn.flatMap((each) => {
    const findings = toMend(each);
    const worst = worstFinding(findings);
    return worst ? [{ sheet: each.sheet, worst, more: findings.length - 1 }] : [];
  });
  const missing =
    project.designId === null
      ? 'no design chosen, so its sheets cannot be drawn'
      : sheets?.length === 0 && design
        ? 'no sheets yet'
        : undefined;
  if (fault) return <Failed error={fault} retry={retry} />;
  return (
    <Box sx={{ py: 3, borderTop: 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline' }}>
        <Link component={RouterLink} to={`/projects/${project.id}/register`} sx={{ fontWeight: 600, flex: 1 }}>
          {project.name}
        </Link>
        <Typography sx={{ color: 'text.secondary' }}>
          {counted(project.sheets, 'sheet')}
          {project.designName ? `, ${project.designName}` : ''}
        </Typography>
      </Box>
      {drawn.length > 0 && troubled.length === 0 ? (
        <Typography>
          <Fits />
        </Typography>
      ) : null}
      {missing ? <FindingMark finding={{ weight: 'gap', message: missing }} /> : null}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {troubled.slice(0, NAMED).map(({ sheet, worst, more }) => (
          <Box component="li" key={sheet.id} sx={{ display: 'flex', gap: 3, pt: 1.5 }}>
            <Box sx={{ width: 52, flex: 'none', fontWeight: 600 }}>{sheet.number}</Box>
            <FindingMark finding={worst} more={more} />
          </Box>
        ))}
      </Box>
      {troubled.length > NAMED ? (
        <Typography sx={{ color: 'text.secondary', pt: 1.5 }}>
          and {counted(troubled.length - NAMED, 'more sheet')}
        </Typography>
      ) : null}
    </Box>
  );
}
