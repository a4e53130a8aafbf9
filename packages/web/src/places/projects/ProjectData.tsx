import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useSnackbar } from 'notistack';
import type { DesignSwap, Office, Project, ProjectChange } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { api, errorOf, faultOf } from '../../app/api';
import { Card } from '../../app/Card';
import { Failed } from '../../app/states';
import { typedFrom, valuesFrom } from '../../app/valueFields';
import { ValuesForm } from '../../app/ValuesForm';
import { EnteredTables } from '../../tables/EnteredTables';
import { dataSections } from './dataSections';
import { Numbering } from './numbering/Numbering';
import { KindsOfSheet } from './kinds/KindsOfSheet';
import type { ProjectSheet, SheetDesigns } from './sheetDrawings';
import { ProjectSwap } from './swap/ProjectSwap';
import { standardInWords } from '../standard/words';

/** What is the same on every sheet of the project, entered once. */
export function ProjectData({ project, office, sheets, designs, sources, standard }: Props) {
  const [asked, setAsked] = useState<{ words: string; swap: DesignSwap }>();
  const sections = useMemo(() => dataSections(standard, office, designs?.all), [standard, office, designs]);
  const fields = sections.flatMap((section) => section.fields);
  const [change] = api.useChangeProjectMutation();
  const all = api.useDesignsQuery();
  const standards = api.useStandardQuery();
  const revisions = api.useDesignRevisionsQuery(project.designId ?? '', { skip: !project.designId });
  const { enqueueSnackbar } = useSnackbar();
  const form = useForm<Record<string, string>>({
    defaultValues: typedFrom(project.values, fields),
  });
  const { isDirty } = form.formState;
  const keep = async (typed: Record<string, string>): Promise<void> => {
    const values = valuesFrom(typed, fields, project.values);
    const result = await change({ id: project.id, version: project.version, values });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar(`Saved; now on ${counted(sheets, 'sheet')}`, { variant: 'success' });
  };
  const setTo = async (what: Omit<ProjectChange, 'version'>): Promise<void> => {
    const result = await change({ id: project.id, version: project.version, ...what });
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  // What it would do to sheets is shown before it is done to them.
  const ask = (words: string, swap: DesignSwap): void =>
    project.designId === null || sheets === 0 ? void setTo(swap) : setAsked({ words, swap });
  const choose = (designId: string): void => {
    const name = all.data?.find(({ id }) => id === designId)?.name ?? 'another design';
    ask(`Draw the sheets with ${name}`, { designId });
  };
  const { devices } = standard;
  const known = devices.find(({ id }) => id === project.device)?.id;
  const numberOf = (choice: string): number | null => (choice === DRAFT ? null : Number(choice));
  return (
    <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 620px) minmax(260px, 380px)',
          gap: 5,
          alignItems: 'start',
        }}
      >
        <Card
          title="Project data"
          about={`Entered once, shown on ${sheets === 1 ? 'its sheet' : `all ${sheets} sheets`}.`}
          scrolls={false}
        >
          <ValuesForm what="project data" sections={sections} form={form} onSave={keep} />
        </Card>
        <Card title="What its sheets are drawn with" scrolls={false}>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: 2 }}>
            <TextField
              select
              label="Design"
              value={all.data ? (project.designId ?? '') : ''}
              onChange={(event) => choose(event.target.value)}
              helperText={
                all.data?.length === 0 ? 'There are no designs yet.' : 'What it would do to the sheets is shown first.'
              }
              disabled={isDirty}
            >
              {(all.data ?? []).map((design) => (
                <MenuItem key={design.id} value={design.id}>
                  {design.name}
                </MenuItem>
              ))}
            </TextField>
            {project.designId ? (
              <TextField
                select
                label="Revision of the design"
                value={revisions.currentData ? (project.designRevision ?? DRAFT) : ''}
                onChange={({ target }) =>
                  ask(
                    target.value === DRAFT
                      ? 'Draw the sheets with the draft'
                      : `Draw the sheets with revision ${target.value}`,
                    { designRevision: numberOf(target.value) },
                  )
                }
                helperText="A published revision never changes; the draft changes while it is edited."
                disabled={isDirty}
              >
                <MenuItem value={DRAFT}>Follows the draft of the design</MenuItem>
                {(revisions.currentData ?? []).map(({ number, note }) => (
                  <MenuItem key={number} value={number}>
                    Revision {number}: {note}
                  </MenuItem>
                ))}
              </TextField>
            ) : null}
            <TextField
              select
              label="Office standard"
              value={standards.data ? (project.standard ?? DRAFT) : ''}
              onChange={({ target }) => void setTo({ standard: numberOf(target.value) })}
              helperText="Sizes, lettering, pens and wording of every sheet."
              disabled={isDirty}
            >
              {[null, ...(standards.data?.revisions.map((each) => each.number) ?? [])].map((number) => (
                <MenuItem key={number ?? DRAFT} value={number ?? DRAFT}>
                  {standardInWords(number)}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Printed on"
              value={known ?? ''}
              onChange={({ target }) => void setTo({ device: target.value === '' ? null : target.value })}
              helperText={
                project.device !== null && known === undefined
                  ? 'Its device is not in the standard that it uses any more.'
                  : 'Frames and views outside what this device prints are told on every sheet.'
              }
              disabled={isDirty}
              slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
            >
              <MenuItem value="">No device named</MenuItem>
              {devices.map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
          </Box>
        </Card>
      </Box>
      {project.designId ? (
        <KindsOfSheet project={project} designs={designs} busy={isDirty} onDesign={ask} onSize={setTo} />
      ) : null}
      <Numbering project={project} sources={sources} standard={standard} onSave={setTo} />
      <ProjectTables project={project} standard={standard} />
      {asked ? (
        <ProjectSwap {...asked} project={project} sources={sources} onClose={() => setAsked(undefined)} />
      ) : null}
    </Box>
  );
}

/** Rows of tables that are the project’s own; without any it shows the office’s. */
function ProjectTables({ project, standard }: Pick<Props, 'project' | 'standard'>) {
  const found = api.useProjectTablesQuery(project.id);
  const [change] = api.useChangeProjectTablesMutation();
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const { currentData } = found;
  if (!currentData) return null;
  return (
    <EnteredTables
      tables={currentData.tables}
      standard={standard}
      about="Without rows of its own the project shows the office’s."
      onSave={async (tables) => (await change({ id: project.id, version: currentData.version, tables })).error}
    />
  );
}

interface Props {
  project: Project;
  office: Office;
  sheets: number;
  /** Those that its sheets are drawn with; undefined while there are none. */
  designs: SheetDesigns | undefined;
  /** Its sheets with what they are drawn from. */
  sources: readonly ProjectSheet[];
  standard: OfficeStandard;
}

/** The choice that follows the draft of the standard. */
const DRAFT = 'draft';
