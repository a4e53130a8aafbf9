import { useRef, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { DesignSwapImpact, Project } from '@mendrel/contract';
import { counted, newToMend, worstFinding } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { FindingMark } from '../../../app/FindingMark';
import { PlainTable } from '../../../app/PlainTable';
import { UndoButton } from '../../../app/UndoButton';
import type { DesignAdoption } from './adoption';
import { behind, moveBack, moveTo } from './adoption';

/** What is known of a project: nothing yet, what a move would do to it, or why that is not known. */
type Looked = { impact: DesignSwapImpact } | { problem: string };

/** What moving projects to the newest revision of a design would do to each, one after the other; then they are moved. */
export function MoveProjects({ adoption, onClose }: { adoption: DesignAdoption; onClose: () => void }) {
  const { design } = adoption;
  // As they are when it is opened: those that are moved are behind no more.
  const [projects] = useState(() => behind(adoption));
  const [looked, setLooked] = useState<ReadonlyMap<string, Looked>>(new Map());
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [state, setState] = useState<'ready' | 'looking' | 'looked' | 'moving'>('ready');
  const [problem, setProblem] = useState<string>();
  const left = useRef(false);
  const [look] = api.endpoints.swapImpact.useLazyQuery();
  const [change] = api.useChangeProjectMutation();
  const { enqueueSnackbar } = useSnackbar();
  const newest = design.revision ?? 0;
  const close = (): void => {
    left.current = true;
    onClose();
  };
  const lookAtAll = async (): Promise<void> => {
    setState('looking');
    const found = new Map<string, Looked>();
    for (const project of projects) {
      if (left.current) return;
      const result = await look({ id: project.id, ...moveTo(project, design.id, newest) });
      found.set(project.id, result.data ? { impact: result.data } : { problem: errorOf(result.error).message });
      setLooked(new Map(found));
    }
    // Those on which nothing gets worse.
    setChosen(new Set(projects.flatMap(({ id }) => (isFine(found.get(id)) ? [id] : []))));
    setState('looked');
  };
  const moveAll = async (): Promise<void> => {
    setState('moving');
    const moved: Project[] = [];
    for (const project of projects.filter(({ id }) => chosen.has(id))) {
      const result = await change({
        id: project.id,
        version: project.version,
        ...moveTo(project, design.id, newest),
      });
      if (result.error) {
        setProblem(`${project.name}: ${errorOf(result.error).message}`);
        break;
      }
      moved.push({ ...project, version: result.data.version });
    }
    if (moved.length > 0)
      enqueueSnackbar(`${counted(moved.length, 'project')} moved to revision ${newest} of ${design.name}`, {
        action: (message) => <UndoButton message={message} onUndo={() => void backAll(moved)} />,
      });
    if (moved.length === chosen.size) close();
    else setState('looked');
  };
  const backAll = async (moved: readonly Project[]): Promise<void> => {
    for (const project of moved) {
      const result = await change({ id: project.id, version: project.version, ...moveBack(project) });
      if (result.error)
        enqueueSnackbar(`${project.name} not undone: ${errorOf(result.error).message}`, { variant: 'error' });
    }
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="md" aria-labelledby="move-title">
      <DialogTitle id="move-title">
        Move {counted(projects.length, 'project')} to revision {newest} of {design.name}
      </DialogTitle>
      <DialogContent sx={{ minHeight: 320, display: 'flex', flexDirection: 'column', gap: 3 }}>
        <Typography role="status" aria-label="In short">
          {inShort(state, looked, projects.length)}
        </Typography>
        {state === 'looking' ? (
          <LinearProgress
            variant="determinate"
            aria-label="Projects looked at"
            value={(looked.size / projects.length) * 100}
          />
        ) : null}
        {problem ? <Alert severity="error">Not moved: {problem}</Alert> : null}
        <Box sx={{ maxHeight: 360, overflow: 'auto' }} tabIndex={0} role="group" aria-label="Projects to move">
          <PlainTable caption="Projects to move" headings={['Move', 'Project', 'Sheets', 'What it would do']} framed>
            {projects.map((project) => (
              <OneProject
                key={project.id}
                project={project}
                looked={looked.get(project.id)}
                chosen={chosen.has(project.id)}
                busy={state !== 'looked'}
                onChoose={(on) =>
                  setChosen(new Set(on ? [...chosen, project.id] : [...chosen].filter((id) => id !== project.id)))
                }
              />
            ))}
          </PlainTable>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={close}>
          Cancel
        </Button>
        {state === 'ready' || state === 'looking' ? (
          <Button variant="contained" disabled={state === 'looking'} onClick={() => void lookAtAll()}>
            {state === 'looking' ? 'Looking…' : 'Look at their sheets'}
          </Button>
        ) : (
          <Button variant="contained" disabled={chosen.size === 0 || state === 'moving'} onClick={() => void moveAll()}>
            {state === 'moving' ? 'Moving…' : `Move ${counted(chosen.size, 'project')}`}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

const isFine = (looked: Looked | undefined): boolean =>
  looked !== undefined && 'impact' in looked && looked.impact.worse === 0;

function inShort(state: string, looked: ReadonlyMap<string, Looked>, all: number): string {
  if (state === 'ready') return 'Each sheet is drawn with its real values as it is and as it would be.';
  if (state === 'looking') return `${looked.size} of ${counted(all, 'project')} looked at.`;
  const worse = [...looked.values()].filter((each) => !isFine(each)).length;
  return worse === 0
    ? 'Nothing new to mend on any of them.'
    : `${counted(worse, 'project')} with something new to mend; ${worse === 1 ? 'it is' : 'they are'} not chosen.`;
}

interface RowProps {
  project: Project;
  looked: Looked | undefined;
  chosen: boolean;
  busy: boolean;
  onChoose: (on: boolean) => void;
}

function OneProject({ project, looked, chosen, busy, onChoose }: RowProps) {
  const { name, sheets } = project;
  return (
    <tr>
      <td>
        <Checkbox
          size="small"
          checked={chosen}
          disabled={busy}
          onChange={(_event, on) => onChoose(on)}
          slotProps={{ input: { 'aria-label': `Move ${name}` } }}
        />
      </td>
      <th scope="row">{name}</th>
      <td>{sheets}</td>
      <td>{looked === undefined ? '…' : 'problem' in looked ? looked.problem : <What impact={looked.impact} />}</td>
    </tr>
  );
}

function What({ impact }: { impact: DesignSwapImpact }) {
  const { worse, mended, areas, told } = impact;
  const worst = worstFinding(told.flatMap((sheet) => newToMend(sheet)));
  const parts = [
    `${counted(impact.sheets, 'sheet')} drawn anew`,
    ...(worse > 0 ? [`${worse} with something new to mend`] : []),
    ...(mended > 0 ? [`${mended} mended`] : []),
    ...(areas > 0 ? [`${areas} with another drawing area`] : []),
  ];
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {parts.join(', ')}
      {worst ? <FindingMark finding={worst} /> : null}
    </Box>
  );
}
