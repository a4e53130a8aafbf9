import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { StandardAt, StandardState } from '@mendrel/contract';
import { MOST_STARTER_DESIGNS } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { readStandard, StandardError, standardDifference } from '@mendrel/core';
import { FileButton } from '../../../app/FileButton';
import { api, errorOf } from '../../../app/api';
import { PlainTable } from '../../../app/PlainTable';
import { useAppDispatch } from '../../../app/store';
import { Card } from '../../../app/Card';
import { ChangeList } from '../ChangeList';
import { standardEdited } from '../standardSlice';
import { useStandardEdit } from '../useStandardEdit';
import { standardInWords } from '../words';
import { FailedDownloadNotice, useDownloads } from '../../../app/download';

/** Published standards, what differs between two of them, revisions in use, and ways in and out. */
export function Revisions({ state }: { state: StandardState }) {
  return (
    <>
      <Comparison state={state} />
      <Followers state={state} />
      <Exchange />
    </>
  );
}

const DRAFT = 'draft';

/** A standard as it was when it was published, its parameters included. */
const asPublished = (at: StandardAt | undefined): OfficeStandard | undefined =>
  at && { ...at.standard, parameters: at.parametersAsPublished };

function Comparison({ state }: { state: StandardState }) {
  const { standard } = useStandardEdit();
  const newest = state.revisions[0]?.number;
  const [from, setFrom] = useState(newest === undefined ? DRAFT : String(newest));
  const [to, setTo] = useState(DRAFT);
  const numberOf = (choice: string): number | null => (choice === DRAFT ? null : Number(choice));
  const before = api.useStandardAtQuery(numberOf(from), { skip: from === DRAFT });
  const after = api.useStandardAtQuery(numberOf(to), { skip: to === DRAFT });
  // The draft is the one on screen, with edits that are not saved yet.
  const [was, is] = [
    from === DRAFT ? standard : asPublished(before.currentData),
    to === DRAFT ? standard : asPublished(after.currentData),
  ];
  const choice = (label: string, value: string, choose: (value: string) => void) => (
    <TextField select label={label} value={value} onChange={(event) => choose(event.target.value)} sx={{ width: 200 }}>
      <MenuItem value={DRAFT}>The draft</MenuItem>
      {state.revisions.map(({ number }) => (
        <MenuItem key={number} value={String(number)}>
          Revision {number}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <>
      <Card title="Published standards" about="A published standard never changes. What is edited is the draft.">
        {state.revisions.length === 0 ? (
          <Typography>
            None yet. Publish the draft as the first revision, so that designs and projects can use it.
          </Typography>
        ) : (
          <PlainTable caption="Published standards" headings={['Revision', 'Published on', 'What changed']}>
            {state.revisions.map(({ number, publishedAt, note }) => (
              <tr key={number}>
                <th scope="row">Revision {number}</th>
                <td>{publishedAt.slice(0, 10)}</td>
                <td>{note}</td>
              </tr>
            ))}
          </PlainTable>
        )}
      </Card>
      <Card
        title="What differs"
        action={
          <>
            {choice('From', from, setFrom)}
            {choice('To', to, setTo)}
          </>
        }
      >
        {was && is ? (
          <ChangeList changes={standardDifference(was, is)} none="Nothing differs." />
        ) : (
          <Typography>Loading…</Typography>
        )}
      </Card>
    </>
  );
}

/** Designs and projects with the standard they use. */
function Followers({ state }: { state: StandardState }) {
  const designs = api.useDesignsQuery();
  const projects = api.useProjectsQuery();
  const [changeProject] = api.useChangeProjectMutation();
  const [moveDesign] = api.useMoveDesignMutation();
  const { enqueueSnackbar } = useSnackbar();
  const tell = (result: { error?: unknown }): void => {
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const choose = (
    name: string,
    value: number | null,
    choice: (standard: number | null) => Promise<{ error?: unknown }>,
  ) => (
    <TextField
      select
      value={value ?? DRAFT}
      onChange={(event) => {
        void choice(event.target.value === DRAFT ? null : Number(event.target.value)).then(tell);
      }}
      sx={{ width: 270 }}
      slotProps={{ htmlInput: { 'aria-label': `Standard of ${name}` } }}
    >
      {[null, ...state.revisions.map((each) => each.number)].map((number) => (
        <MenuItem key={number ?? DRAFT} value={number ?? DRAFT}>
          {standardInWords(number)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Card
      title="Revisions in use"
      about="The revision that each design and each project uses. A change takes effect at once."
    >
      <PlainTable caption="Revisions in use" headings={['Name', 'Design or project', 'Standard']}>
        {(designs.data ?? []).map((design) => (
          <tr key={design.id}>
            <th scope="row">{design.name}</th>
            <td>design, {design.sizes.length === 1 ? '1 size' : `${design.sizes.length} sizes`}</td>
            <td>
              {choose(design.name, design.standard, (standard) =>
                moveDesign({ id: design.id, version: design.version, standard }),
              )}
            </td>
          </tr>
        ))}
        {(projects.data ?? []).map((project) => (
          <tr key={project.id}>
            <th scope="row">{project.name}</th>
            <td>project, {project.sheets === 1 ? '1 sheet' : `${project.sheets} sheets`}</td>
            <td>
              {choose(project.name, project.standard, (standard) =>
                changeProject({ id: project.id, version: project.version, standard }),
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
    </Card>
  );
}

/** The whole standard as files. */
function Exchange() {
  const dispatch = useAppDispatch();
  const { enqueueSnackbar } = useSnackbar();
  const designs = api.useDesignsQuery();
  const downloads = useDownloads();
  const read = async (file: File): Promise<void> => {
    try {
      const standard = readStandard(JSON.parse(await file.text()));
      dispatch(standardEdited({ standard }));
      enqueueSnackbar(`${file.name} is in the draft now, not saved yet; undo restores the old one`, {
        variant: 'success',
      });
    } catch (error) {
      if (!(error instanceof StandardError) && !(error instanceof SyntaxError)) throw error;
      const why = error instanceof StandardError ? error.message : 'it is not JSON';
      enqueueSnackbar(`${file.name} was not read: ${why}`, { variant: 'error', persist: true });
    }
  };
  return (
    <Card title="Exchange with other programs">
      <FailedDownloadNotice {...downloads} />
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', pt: 2 }}>
        <Button
          variant="contained"
          disabled={downloads.fetching !== undefined}
          onClick={() => void downloads.download('/api/standard/starter.dxf', 'The starter drawing')}
        >
          Download the starter drawing (DXF)
        </Button>
        <Button
          variant="outlined"
          onClick={() => void downloads.download('/api/standard/standard.json', 'The standard')}
        >
          Download the standard as JSON
        </Button>
        <FileButton
          variant="outlined"
          of="Standard as JSON"
          accept=".json,application/json"
          onFile={(file) => void read(file)}
        >
          Read a standard from JSON…
        </FileButton>
        <Link href="/api/standard/schema.json" sx={{ alignSelf: 'center' }}>
          JSON Schema
        </Link>
      </Box>
      <Typography sx={{ color: 'text.secondary', mt: 3 }}>
        The starter drawing has the layers with pens and patterns, a text style for each role, dimension styles, and a
        block with frame, title block and attributes for each size of each design. It carries the draft as it was saved
        last. Each table has its own CSV.
        {designs.data && designs.data.length > MOST_STARTER_DESIGNS
          ? ` There are ${designs.data.length} designs; it has the first ${MOST_STARTER_DESIGNS} of them, in the order of their names.`
          : null}
      </Typography>
    </Card>
  );
}
