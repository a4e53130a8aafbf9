import { useEffect } from 'react';
import { Link as RouterLink, useParams } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { api, faultOf } from '../../app/api';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { useAppDispatch } from '../../app/store';
import { useTypefaces } from '../../app/typefaces';
import { Arrange } from './Arrange';
import { projectVisited } from './currentProjectSlice';
import { ProjectData } from './ProjectData';
import { Register } from './Register';
import { useDrawnSheets } from './sheetDrawings';

const TABS = [
  { key: 'register', name: 'Register' },
  { key: 'data', name: 'Data' },
  { key: 'arrange', name: 'Arrange' },
] as const;

/** One project: its register, its data, its sheets to arrange views on. */
export default function ProjectPlace() {
  const { id = '', tab = 'register' } = useParams();
  const projects = api.useProjectsQuery();
  const sheets = api.useSheetsQuery(id);
  const office = api.useOfficeQuery();
  const project = projects.data?.find((each) => each.id === id);
  const dispatch = useAppDispatch();
  // Known outside of this place, so that others begin with the same project.
  useEffect(() => {
    if (project) dispatch(projectVisited(project.id));
  }, [project, dispatch]);
  const design = api.useDesignAtQuery(
    { id: project?.designId ?? '', number: project?.designRevision ?? null },
    { skip: !project?.designId },
  );
  const standard = api.useStandardAtQuery(project?.standard ?? null, { skip: !project });
  const typefaces = useTypefaces();
  const drawn = useDrawnSheets(
    project,
    sheets.currentData,
    project?.designId ? design.currentData?.document : undefined,
    office.data,
    standard.currentData?.standard,
    typefaces,
  );

  const error = [projects, sheets, office, standard, design].map(faultOf).find((each) => each !== undefined);
  if (error)
    return (
      <Failed error={error} retry={() => void Promise.all([projects.refetch(), sheets.refetch(), office.refetch()])} />
    );
  if (projects.data && !project) return <Empty title="There is no such project">It may have been deleted.</Empty>;
  if (!project || !sheets.currentData || !office.data || !standard.currentData) return <Loading what="the project" />;

  const shown = TABS.find((each) => each.key === tab)?.key ?? 'register';
  return (
    <>
      <PlaceBar title={project.name} trail={<TrailLink to="/projects">Projects</TrailLink>}>
        {project.designName ? (
          <Chip size="small" label={project.designName} sx={{ bgcolor: 'office.hereGround', color: 'text.primary' }} />
        ) : null}
        <Box sx={{ flex: 1 }} />
        <Button
          variant="outlined"
          href={`/api/projects/${id}/set.pdf`}
          disabled={sheets.currentData.length === 0 || !project.designId}
        >
          Download the set as PDF
        </Button>
      </PlaceBar>
      <Tabs
        value={shown}
        aria-label="Parts of the project"
        sx={{ px: 3, bgcolor: 'background.paper', borderBottom: 1, borderColor: 'divider', flex: 'none' }}
      >
        {TABS.map(({ key, name }) => (
          <Tab key={key} value={key} label={name} component={RouterLink} to={`/projects/${id}/${key}`} />
        ))}
      </Tabs>
      {shown === 'register' ? (
        <Register
          project={project}
          sheets={sheets.currentData}
          drawn={drawn}
          standard={standard.currentData.standard}
          sizes={design.currentData?.document.sizes.map((each) => each.size) ?? ['ISO A1']}
        />
      ) : null}
      {shown === 'data' ? (
        <ProjectData
          key={`${project.id}-${project.version}`}
          project={project}
          sheets={sheets.currentData.length}
          standard={standard.currentData.standard}
        />
      ) : null}
      {shown === 'arrange' ? (
        <Arrange
          project={project}
          drawn={drawn}
          scales={standard.currentData.standard.scales}
          unit={design.currentData?.document.unit ?? 'mm'}
        />
      ) : null}
    </>
  );
}
