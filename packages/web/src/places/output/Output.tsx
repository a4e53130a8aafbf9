import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { counted } from '@mendrel/core';
import { api, faultOf } from '../../app/api';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { projectVisited } from '../projects/currentProjectSlice';

/** Whole sets as PDF at true size, single sheets as PDF, DXF or SVG. */
export default function Output() {
  const projects = api.useProjectsQuery();
  const current = useAppSelector((root) => root.currentProject.id);
  const dispatch = useAppDispatch();
  const project = projects.data?.find((each) => each.id === current) ?? projects.data?.[0];
  const sheets = api.useSheetsQuery(project?.id ?? '', { skip: !project });
  const fault = faultOf(projects);
  if (fault) return <Failed error={fault} retry={() => void projects.refetch()} />;
  if (!projects.data) return <Loading what="the projects" />;
  if (!project) return <Empty title="Nothing to put out yet">Add a project with sheets first.</Empty>;
  const ready = project.designId !== null && (sheets.currentData?.length ?? 0) > 0;
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
      </PlaceBar>
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        <Box
          component="section"
          aria-labelledby="set-heading"
          sx={{
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'divider',
            borderRadius: 2,
            p: 5,
            mb: 5,
            display: 'flex',
            alignItems: 'center',
            gap: 4,
          }}
        >
          <Box sx={{ flex: 1 }}>
            <Typography id="set-heading" variant="h2" component="h2">
              The whole set
            </Typography>
            <Typography sx={{ color: 'text.secondary' }}>
              {ready
                ? `${counted(project.sheets, 'sheet')} as one PDF: a page each at true size, text that can be searched, typefaces embedded.`
                : 'The project needs a design and sheets before it can be put out.'}
            </Typography>
          </Box>
          <Button variant="contained" href={`/api/projects/${project.id}/set.pdf`} disabled={!ready}>
            Download the set as PDF
          </Button>
        </Box>
        {faultOf(sheets) ? <Failed error={sheets.error} retry={() => void sheets.refetch()} /> : null}
        {ready ? (
          <PlainTable
            caption={`Sheets of ${project.name}`}
            headings={['Number', 'Title', 'Size', 'Single sheet']}
            framed
          >
            {sheets.currentData?.map((sheet) => (
              <tr key={sheet.id}>
                <td>
                  <b>{sheet.number}</b>
                </td>
                <td>{sheet.title}</td>
                <td>{sheet.size}</td>
                <td>
                  <Box sx={{ display: 'flex', gap: 4 }}>
                    {(['pdf', 'dxf', 'svg'] as const).map((kind) => (
                      <Link
                        key={kind}
                        href={`/api/sheets/${sheet.id}/sheet.${kind}`}
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
      </Box>
    </>
  );
}
