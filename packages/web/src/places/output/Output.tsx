import { useMemo, useState } from 'react';
import { skipToken } from '@reduxjs/toolkit/query';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Finding } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { api, faultOf } from '../../app/api';
import { Card } from '../../app/Card';
import { FailedDownloadNotice, useDownloads } from '../../app/download';
import { issueApi } from '../../app/issueApi';
import { FindingMark, Fits } from '../../app/FindingMark';
import { Pages } from '../../app/Pages';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { projectVisited } from '../projects/currentProjectSlice';
import type { PicturesBeside } from '../../app/PicturesInDxf';
import { PicturesInDxf } from '../../app/PicturesInDxf';
import { setSheets } from '../projects/sets/setOrder';
import { nameOf } from '../projects/sets/setWords';
import { SheetState } from '../projects/SheetState';
import { useProjectSheets } from '../projects/useProjectSheets';

/** The choice of all sheets of the register. */
const ALL = 'all';
/** Sheets listed at a time. */
const PAGE = 100;

/** Whole sets as PDF at true size, single sheets as PDF, DXF or SVG. */
export default function Output() {
  const projects = api.useProjectsQuery();
  const current = useAppSelector((root) => root.currentProject.id);
  const dispatch = useAppDispatch();
  const project = projects.data?.find((each) => each.id === current) ?? projects.data?.[0];
  const { sheets: register, designs, findings, fault: sheetsFault, retry } = useProjectSheets(project?.id, project);
  const sets = issueApi.useProjectSetsQuery(project?.id ?? skipToken).currentData ?? [];
  const [chosenSet, setChosenSet] = useState<string>();
  const set = sets.find(({ id }) => id === chosenSet);
  const sheets = useMemo(() => (register && set ? setSheets(register, set.sheets) : register), [register, set]);
  const [shown, setShown] = useState({ project: project?.id, page: 0 });
  const page = shown.project === project?.id ? shown.page : 0;
  const [pictures, setPictures] = useState<PicturesBeside>('files');
  const downloads = useDownloads();
  const fault = faultOf(projects);
  if (fault) return <Failed error={fault} retry={() => void projects.refetch()} />;
  if (!projects.data) return <Loading what="the projects" />;
  if (!project) return <Empty title="Nothing to export yet">Add a project with sheets first.</Empty>;
  const ready = project.designId !== null && (sheets?.length ?? 0) > 0;
  const troubled = (sheets ?? []).filter(({ id }) => findings.get(id)?.some(({ weight }) => weight === 'error'));
  const ofSet = set ? `set=${set.id}` : '';
  return (
    <>
      <PlaceBar title="Output">
        <Box sx={{ flex: 1 }} />
        <TextField
          select
          label="Project"
          value={project.id}
          onChange={(event) => dispatch(projectVisited(event.target.value))}
          sx={{ width: 280 }}
        >
          {projects.data.map((each) => (
            <MenuItem key={each.id} value={each.id}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        {sets.length > 0 ? (
          <TextField
            select
            label="Set"
            value={set?.id ?? ALL}
            onChange={({ target }) => {
              setChosenSet(target.value);
              setShown({ project: project.id, page: 0 });
            }}
            sx={{ width: 200 }}
          >
            <MenuItem value={ALL}>All sheets</MenuItem>
            {sets.map((each) => (
              <MenuItem key={each.id} value={each.id}>
                {nameOf(each)}
              </MenuItem>
            ))}
          </TextField>
        ) : null}
      </PlaceBar>
      <FailedDownloadNotice {...downloads} />
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        <Card
          title={set ? nameOf(set) : 'The whole set'}
          scrolls={false}
          about={
            ready
              ? `${counted(sheets?.length ?? 0, 'sheet')} as one PDF: a page each at true size, text that can be searched, typefaces embedded.`
              : set && project.designId !== null
                ? 'This set has no sheets yet.'
                : 'The project needs a design and sheets before it can be exported.'
          }
          action={
            <Button
              variant="contained"
              onClick={() =>
                void downloads.download(
                  `/api/projects/${project.id}/set.pdf?${ofSet}`,
                  set ? nameOf(set) : `The set of ${project.name}`,
                )
              }
              disabled={!ready || downloads.fetching !== undefined}
            >
              {downloads.fetching ? 'Drawing…' : 'Download the set as PDF'}
            </Button>
          }
        >
          {ready ? null : (
            <Link
              component={RouterLink}
              to={`/projects/${project.id}/${project.designId === null ? 'data' : set ? 'sets' : 'register'}`}
            >
              {project.designId === null ? 'Choose its design' : set ? 'Choose its sheets' : 'Add sheets'}
            </Link>
          )}
          {troubled.length > 0 ? (
            <FindingMark
              finding={{
                weight: 'error',
                message: `${counted(troubled.length, 'sheet')} with something that spills, conflicts or cannot be drawn; see below.`,
              }}
            />
          ) : null}
        </Card>
        {sheetsFault ? <Failed error={sheetsFault} retry={retry} /> : null}
        {ready ? (
          <Box sx={{ display: 'flex', justifyContent: 'flex-end', mb: 4 }}>
            <PicturesInDxf designs={designs?.all ?? []} value={pictures} onSet={setPictures} />
          </Box>
        ) : null}
        {ready ? (
          <PlainTable
            caption={`Sheets of ${project.name}`}
            headings={['Number', 'Title', 'Size', 'State', 'Single sheet']}
            framed
          >
            {sheets?.slice(page * PAGE, (page + 1) * PAGE).map((sheet) => (
              <tr key={sheet.id}>
                <td>
                  <b>{sheet.number}</b>
                </td>
                <td>{sheet.title}</td>
                <td style={{ whiteSpace: 'nowrap' }}>{sheet.size}</td>
                <td>
                  <StateOf findings={findings.get(sheet.id)} />
                </td>
                <td>
                  <Box sx={{ display: 'flex', gap: 4 }}>
                    {(['pdf', 'dxf', 'svg'] as const).map((kind) => (
                      <Link
                        key={kind}
                        component="button"
                        type="button"
                        onClick={() =>
                          void downloads.download(
                            `/api/sheets/${sheet.id}/sheet.${kind}?pictures=${pictures}&${ofSet}`,
                            `${sheet.number} as ${kind.toUpperCase()}`,
                          )
                        }
                        aria-label={`${sheet.number} as ${kind.toUpperCase()}`}
                      >
                        {kind.toUpperCase()}
                      </Link>
                    ))}
                  </Box>
                </td>
              </tr>
            ))}
          </PlainTable>
        ) : null}
        <Pages
          of={`sheets of ${project.name}`}
          page={page}
          size={PAGE}
          count={sheets?.length ?? 0}
          onPage={(next) => setShown({ project: project.id, page: next })}
        />
      </Box>
    </>
  );
}

/** A sheet's state; nothing before the sheet was looked at. */
function StateOf({ findings }: { findings: readonly Finding[] | undefined }) {
  return findings ? <SheetState findings={findings} fits={<Fits />} /> : <>…</>;
}
