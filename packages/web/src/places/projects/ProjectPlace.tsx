import { Suspense, useCallback, useEffect } from 'react';
import { Link as RouterLink, useParams } from 'react-router';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import type { Project } from '@mendrel/contract';
import { TAB_CODE } from '../../app/ahead';
import { api, errorOf, faultOf } from '../../app/api';
import { FailedDownloadNotice, useDownloads } from '../../app/download';
import { later } from '../../app/later';
import { useLoadedAhead } from '../../app/loadedAhead';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { useAppDispatch } from '../../app/store';
import { projectVisited } from './currentProjectSlice';
import { Register } from './register/Register';
import type { SheetLook } from './sheetDrawings';
import { useProjectSheets } from './useProjectSheets';

const Areas = later(() => TAB_CODE.areas().then((tab) => tab.Areas));
const Arrange = later(() => TAB_CODE.arrange().then((tab) => tab.Arrange));
const ProjectData = later(() => TAB_CODE.data().then((tab) => tab.ProjectData));
const Issues = later(() => TAB_CODE.issues().then((tab) => tab.Issues));
const Revisions = later(() => TAB_CODE.revisions().then((tab) => tab.Revisions));
const Sets = later(() => TAB_CODE.sets().then((tab) => tab.Sets));
const OTHER_TABS = [Areas, Arrange, ProjectData, Issues, Revisions, Sets];

const TABS = [
  { key: 'register', name: 'Register' },
  { key: 'data', name: 'Data' },
  { key: 'arrange', name: 'Arrange' },
  { key: 'areas', name: 'Areas' },
  { key: 'revisions', name: 'Revisions' },
  { key: 'sets', name: 'Sets' },
  { key: 'issues', name: 'Issues' },
] as const;

/** One project: its register, its data, its sheets to arrange views on. */
export default function ProjectPlace() {
  const { id = '', tab = 'register' } = useParams();
  const known = api.useProjectQuery(id);
  const project = known.currentData;
  const dispatch = useAppDispatch();
  // Known outside of this place, so that others begin with the same project.
  useEffect(() => {
    if (project) dispatch(projectVisited(project.id));
  }, [project, dispatch]);
  const { sheets, office, standard, designs, sources, findings, fault, retry } = useProjectSheets(id, project);
  const sizesOf = useCallback(
    (sheet: SheetLook) => designs?.of(sheet).sizes.map((each) => each.size) ?? ['ISO A1'],
    [designs],
  );
  const downloads = useDownloads();
  useLoadedAhead(Boolean(project && sheets && office && standard), OTHER_TABS);

  const error = faultOf(known) ?? fault;
  const again = (): void => {
    void known.refetch();
    retry();
  };
  if (known.error && errorOf(known.error).code === 'not-found')
    return <Empty title="There is no such project">It may have been deleted.</Empty>;
  if (error) return <Failed error={error} retry={again} />;
  if (!project || !sheets || !office || !standard) return <Loading what="the project" />;

  const shown = TABS.find((each) => each.key === tab)?.key ?? 'register';
  return (
    <>
      <PlaceBar title={project.name} trail={<TrailLink to="/projects">Projects</TrailLink>}>
        {designNames(project).map((name) => (
          <Chip key={name} size="small" label={name} sx={{ bgcolor: 'office.hereGround', color: 'text.primary' }} />
        ))}
        <Box sx={{ flex: 1 }} />
        <Button
          variant="outlined"
          onClick={() => void downloads.download(`/api/projects/${id}/set.pdf`, `The set of ${project.name}`)}
          disabled={sheets.length === 0 || !project.designId || downloads.fetching !== undefined}
        >
          {downloads.fetching ? 'Drawing the set…' : 'Download the set as PDF'}
        </Button>
      </PlaceBar>
      <FailedDownloadNotice {...downloads} />
      <Tabs
        value={shown}
        aria-label="Parts of the project"
        sx={{ px: 3, bgcolor: 'background.paper', borderBottom: 1, borderColor: 'divider', flex: 'none' }}
      >
        {TABS.map(({ key, name }) => (
          <Tab key={key} value={key} label={name} component={RouterLink} to={`/projects/${id}/${key}`} />
        ))}
      </Tabs>
      {project.designId === null && shown !== 'data' ? (
        <Alert
          severity="warning"
          sx={{ flex: 'none', borderRadius: 0 }}
          action={
            <Button color="inherit" size="small" component={RouterLink} to={`/projects/${id}/data`}>
              Choose a design
            </Button>
          }
        >
          {project.name} has no design yet, so its sheets cannot be drawn.
        </Alert>
      ) : null}
      {shown === 'register' ? (
        <Register
          key={project.id}
          project={project}
          sheets={sheets}
          sources={sources}
          findings={findings}
          standard={standard}
          sizesOf={sizesOf}
        />
      ) : null}
      <Suspense fallback={<Loading what="this part of the project" />}>
        {shown === 'data' ? (
          <ProjectData
            key={`${project.id}-${project.version}`}
            project={project}
            office={office}
            sheets={sheets.length}
            designs={designs}
            sources={sources}
            standard={standard}
          />
        ) : null}
        {shown === 'sets' ? <Sets project={project} sheets={sheets} standard={standard} downloads={downloads} /> : null}
        {shown === 'issues' ? <Issues project={project} sheets={sheets} downloads={downloads} /> : null}
        {shown === 'revisions' ? <Revisions project={project} sheets={sheets} /> : null}
        {shown === 'areas' ? <Areas project={project} standard={standard} /> : null}
        {shown === 'arrange' ? <Arrange project={project} sheets={sources} scales={standard.scales} /> : null}
      </Suspense>
    </>
  );
}

/** The designs of its sheets, each once. */
const designNames = ({ designName, kinds }: Project): string[] => [
  ...new Set([designName, ...kinds.map((kind) => kind.designName)].filter((name) => name !== null)),
];
