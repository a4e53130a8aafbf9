import { Suspense, useMemo, useState } from 'react';
import { Link as RouterLink, useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { IntakeSetRecord } from '@mendrel/contract';
import type { Parameters, RegisterSheet, SheetGroup } from '@mendrel/core';
import { counted, parametersOf } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { PlainTable } from '../../../app/PlainTable';
import { Proposals } from '../result/Proposals';
import { GroupPicture } from './GroupPicture';
import { Sign } from '../../../app/FindingMark';

interface Props {
  set: IntakeSetRecord;
  group: SheetGroup;
  number: number;
}

/** Values shown in columns of their own; most sets have more than fit beside one another. */
const MOST_COLUMNS = 4;

/** A design that many drawings share, and the register it would come with; all of it can be left or taken over. */
export function GroupRegister({ set, group, number }: Props) {
  const standards = api.useStandardQuery();
  const newest = standards.data?.revisions[0]?.number ?? null;
  const standard = api.useStandardAtQuery(newest, { skip: !standards.data }).currentData?.standard;
  const parameters = useMemo(() => (standard ? parametersOf(standard) : undefined), [standard]);
  const [name, setName] = useState(group.projectValues['project.name'] ?? set.name);
  // A file that is there twice becomes one sheet, unless somebody wants both.
  const [left, setLeft] = useState<ReadonlySet<string>>(
    () => new Set(group.sheets.flatMap(({ drawing, sameAs }) => (sameAs === undefined ? [] : [drawing]))),
  );
  const [takeOver, taking] = api.useTakeOverSetMutation();
  const [readAgain] = api.useReadSetAgainMutation();
  // Of a file with several sheets the first is shown, so that is the one that can be corrected.
  const specimen = [group.leader, ...group.sheets.map(({ drawing }) => drawing)].find((each) => !each.includes('.'));
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const chosen = group.sheets.filter((sheet) => !left.has(sheet.drawing));
  const heading = `group-${number}`;

  const take = async (): Promise<void> => {
    const result = await takeOver({
      id: set.id,
      leader: group.leader,
      projectName: name,
      drawings: chosen.map((sheet) => sheet.drawing),
    });
    if (result.data) {
      enqueueSnackbar(`${counted(result.data.sheets, 'sheet')} imported`, { variant: 'success' });
      void navigate(`/projects/${result.data.projectId}/register`);
    } else enqueueSnackbar(`Not imported: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const toggle = (drawing: string): void => {
    const next = new Set(left);
    if (!next.delete(drawing)) next.add(drawing);
    setLeft(next);
  };

  return (
    <Box
      component="section"
      aria-labelledby={heading}
      sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'divider', borderRadius: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 5, p: 5, alignItems: 'flex-start' }}>
        <Box sx={{ width: 210, height: 150, flex: 'none' }}>
          {/* Its typefaces may still be on their way; all else can be read meanwhile. */}
          <Suspense fallback={null}>{standard ? <GroupPicture group={group} standard={standard} /> : null}</Suspense>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography id={heading} variant="h2" component="h2">
            {group.sheets.length === 1 ? 'One sheet by itself' : `One title block on ${group.sheets.length} sheets`}
          </Typography>
          <Typography sx={{ color: 'text.secondary', mt: 1 }}>
            {sizeWords(group.sheets)}. Its design comes from {set.names[group.leader] ?? 'one of them'}.
          </Typography>
          <ProjectData group={group} names={set.names} parameters={parameters} />
        </Box>
        <Box sx={{ width: 260, flex: 'none', display: 'flex', flexDirection: 'column', gap: 3 }}>
          <TextField
            label="Project name"
            size="small"
            value={name}
            onChange={(event) => setName(event.target.value)}
            error={name.trim() === ''}
            helperText={name.trim() === '' ? 'The project needs a name' : undefined}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Button
            variant={number === 1 && set.state !== 'taken' ? 'contained' : 'outlined'}
            disabled={taking.isLoading || chosen.length === 0 || name.trim() === '' || set.state === 'reading'}
            onClick={() => void take()}
          >
            Import {chosen.length} {chosen.length === 1 ? 'sheet' : 'sheets'} as a project
          </Button>
          {specimen === undefined ? null : (
            <Button
              color="inherit"
              component={RouterLink}
              to={`/intake/${specimen}?set=${set.id}&sheets=${group.sheets.length}`}
            >
              {group.sheets.length === 1 ? 'Correct its reading' : 'Correct all of them at once'}
            </Button>
          )}
        </Box>
      </Box>
      {specimen === undefined ? null : (
        <Proposals id={specimen} proposals={group.proposals} onMade={() => void readAgain(set.id)} />
      )}
      <Register group={group} names={set.names} parameters={parameters} left={left} onToggle={toggle} />
    </Box>
  );
}

function sizeWords(sheets: readonly RegisterSheet[]): string {
  const counts = new Map<string, number>();
  for (const { size } of sheets) counts.set(size, (counts.get(size) ?? 0) + 1);
  return [...counts].map(([size, count]) => (counts.size === 1 ? `All ${size}` : `${count} × ${size}`)).join(', ');
}

const wordsOf = (key: string, parameters: Parameters | undefined): string => parameters?.get(key)?.name ?? key;

interface DataProps {
  group: SheetGroup;
  names: Readonly<Record<string, string>>;
  parameters: Parameters | undefined;
}

/** What the sheets say of their project, and where they do not agree. */
function ProjectData({ group, names, parameters }: DataProps) {
  const revised = group.sheets.filter((sheet) => (sheet.revisions ?? []).length > 0).length;
  const rows = Object.values(group.tables ?? {}).reduce((sum, each) => sum + each.length, 0);
  return (
    <Box sx={{ mt: 3, display: 'flex', flexDirection: 'column', gap: 1 }}>
      {Object.entries(group.projectValues).map(([key, value]) => (
        <Typography key={key}>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {wordsOf(key, parameters)}
          </Box>{' '}
          {value}
        </Typography>
      ))}
      {revised > 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          The revisions of {counted(revised, 'sheet')} are imported with their codes.
        </Typography>
      ) : null}
      {rows > 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          {counted(rows, 'row')} of old tables, such as contacts, are imported as project data.
        </Typography>
      ) : null}
      {group.leftOut.length > 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          {group.leftOut.map((key) => wordsOf(key, parameters)).join(', ')} will be computed; the values in the drawings
          are not imported.
        </Typography>
      ) : null}
      {group.disagreements.flatMap(({ parameter, others }) =>
        others.slice(0, 3).map(({ value, drawings }) => (
          <Typography key={`${parameter} ${value}`} sx={{ color: 'warning.main' }}>
            <Sign weight="gap" /> {wordsOf(parameter, parameters)} is “{value}” on{' '}
            {drawings.length > 2 ? `${drawings.length} sheets` : drawings.map((id) => names[id] ?? id).join(' and ')}
          </Typography>
        )),
      )}
    </Box>
  );
}

interface RegisterProps extends DataProps {
  left: ReadonlySet<string>;
  onToggle: (drawing: string) => void;
}

function Register({ group, names, parameters, left, onToggle }: RegisterProps) {
  const columns = useMemo(() => {
    const counts = new Map<string, number>();
    for (const { values } of group.sheets) {
      for (const key of Object.keys(values)) counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    return [...counts]
      .sort((a, b) => b[1] - a[1])
      .slice(0, MOST_COLUMNS)
      .map(([key]) => key);
  }, [group]);
  return (
    <Box sx={{ overflow: 'auto', maxHeight: 420 }} tabIndex={0} role="region" aria-label="Register of the set">
      <PlainTable
        caption="Sheets of the set"
        headings={[
          'Take',
          'Number',
          'Title',
          'Kind',
          'Size',
          ...columns.map((key) => wordsOf(key, parameters)),
          'Cells alike',
          'Drawing',
          'To know',
        ]}
        tight
      >
        {group.sheets.map((sheet) => (
          <tr key={sheet.drawing}>
            <td>
              <Checkbox
                size="small"
                checked={!left.has(sheet.drawing)}
                onChange={() => onToggle(sheet.drawing)}
                slotProps={{ input: { 'aria-label': `Import ${sheet.number}` } }}
                sx={{ p: 0 }}
              />
            </td>
            <td>
              <b>{sheet.number}</b>
            </td>
            <td>{sheet.title}</td>
            <td>{sheet.kind}</td>
            <td>{sheet.size}</td>
            {columns.map((key) => (
              <td key={key}>{sheet.values[key] ?? ''}</td>
            ))}
            <td>
              {sheet.cells.same === sheet.cells.all ? (
                <Box component="span" sx={{ color: 'success.main' }}>
                  all {sheet.cells.all}
                </Box>
              ) : (
                <Box component="span" sx={{ color: 'warning.main' }}>
                  <Sign weight="gap" /> {sheet.cells.same} of {sheet.cells.all}
                </Box>
              )}
            </td>
            <td>{names[sheet.drawing]}</td>
            <td>
              {sheet.remarks.length > 0 ? (
                <Box component="span" sx={{ color: 'warning.main' }}>
                  <Sign weight="gap" /> {sheet.remarks.join('; ')}
                </Box>
              ) : null}
            </td>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
