import { Suspense, useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { DesignSwap, DesignSwapImpact, Project } from '@mendrel/contract';
import type { SheetSource } from '@mendrel/core';
import { counted, drawSheet, newToMend, sheetSources, worstFinding } from '@mendrel/core';
import { api, errorOf, faultOf } from '../../app/api';
import { FindingMark } from '../../app/FindingMark';
import { Failed, Loading } from '../../app/states';
import { useTypefaces } from '../../app/typefaces';
import { UndoButton } from '../../app/UndoButton';
import { OverlaidPaper } from '../../paper/OverlaidPaper';
import { SheetPicture } from '../../paper/SheetPicture';
import type { ProjectSheet } from './sheetDrawings';
import { kindDesigns } from './sheetDrawings';

interface Props {
  project: Project;
  swap: DesignSwap;
  /** What is to be done, such as "Draw details with Harbour block". */
  words: string;
  sources: readonly ProjectSheet[];
  onClose: () => void;
}

/** What other designs would do to the sheets they are for, with their real values, before it is done. */
export function SwapDialog({ project, swap, words, sources, onClose }: Props) {
  const found = api.useSwapImpactQuery({ id: project.id, ...swap });
  const [change, changing] = api.useChangeProjectMutation();
  const [problem, setProblem] = useState<string>();
  const { enqueueSnackbar } = useSnackbar();
  const fault = faultOf(found);
  const impact = found.currentData;
  const apply = async (): Promise<void> => {
    const { id, version, designRevision, kinds } = project;
    const result = await change({ id, version, ...swap });
    if (result.error) {
      setProblem(errorOf(result.error).message);
      return;
    }
    const back = {
      ...(project.designId === null ? {} : { designId: project.designId, designRevision }),
      kinds: kinds.map((each) => ({
        kind: each.kind,
        designId: each.designId,
        designRevision: each.designRevision,
        size: each.size,
      })),
    };
    const now = result.data.version;
    enqueueSnackbar(`${counted(impact?.sheets ?? 0, 'sheet')} drawn anew`, {
      action: (message) => (
        <UndoButton
          message={message}
          onUndo={() =>
            void change({ id, version: now, ...back }).then(({ error }) => {
              if (error) enqueueSnackbar(`Not undone: ${errorOf(error).message}`, { variant: 'error' });
            })
          }
        />
      ),
    });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="swap-title">
      <DialogTitle id="swap-title">{words}</DialogTitle>
      <DialogContent sx={{ minHeight: 430 }}>
        {fault ? (
          <Failed error={fault} retry={() => void found.refetch()} />
        ) : impact ? (
          <Impact impact={impact} sources={sources} />
        ) : (
          <Loading what="what it would do" />
        )}
        {problem === undefined ? null : <Alert severity="error">Not changed: {problem}</Alert>}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" disabled={!impact || changing.isLoading} onClick={() => void apply()}>
          {impact && impact.sheets > 0 ? `Apply to ${counted(impact.sheets, 'sheet')}` : 'Apply'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type Told = DesignSwapImpact['told'][number];

function Impact({ impact, sources }: { impact: DesignSwapImpact; sources: readonly ProjectSheet[] }) {
  const [chosen, setChosen] = useState<string>();
  const { told, lost, gained } = impact;
  const current = told.find(({ id }) => id === chosen) ?? told[0];
  if (!current) return <Typography>No sheet is drawn otherwise by it.</Typography>;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box role="status" aria-label="In short">
        <Typography>{summary(impact)}</Typography>
        {lost.length > 0 ? <Typography>No longer shown: {lost.join(', ')}.</Typography> : null}
        {gained.length > 0 ? <Typography>Shown as well: {gained.join(', ')}.</Typography> : null}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '260px minmax(0, 1fr)', gap: 5 }}>
        <List
          component="nav"
          aria-label="Sheets that change"
          dense
          disablePadding
          sx={{ maxHeight: 360, overflow: 'auto', border: 1, borderColor: 'divider' }}
        >
          {told.map((each) => {
            const worst = worstFinding(newToMend(each));
            return (
              <ListItemButton
                key={each.id}
                selected={each.id === current.id}
                onClick={() => setChosen(each.id)}
                sx={{ display: 'block' }}
              >
                <Typography noWrap>
                  <b>{each.number}</b> {each.title}
                </Typography>
                {worst ? <FindingMark finding={worst} more={newToMend(each).length - 1} /> : null}
              </ListItemButton>
            );
          })}
        </List>
        <Box>
          <Suspense fallback={<Loading what="its pictures" />}>
            <NowAndThen told={current} impact={impact} sources={sources} />
          </Suspense>
        </Box>
      </Box>
    </Box>
  );
}

function summary({ sheets, worse, mended, areas }: DesignSwapImpact): string {
  const parts = [
    worse > 0 ? `${worse} with something new to mend` : 'nothing new to mend on any of them',
    ...(mended > 0 ? [`${mended} with something mended`] : []),
    ...(areas > 0 ? [`${areas} with another drawing area`] : []),
  ];
  return `${counted(sheets, 'sheet')}: ${parts.join(', ')}.`;
}

const rounded = ({ width, height }: { width: number; height: number }): string =>
  `${Math.round(width)} × ${Math.round(height)} mm`;

/** One sheet as it is and as it would be, side by side. */
function NowAndThen({
  told,
  impact,
  sources,
}: {
  told: Told;
  impact: DesignSwapImpact;
  sources: readonly ProjectSheet[];
}) {
  const typefaces = useTypefaces();
  const index = sources.findIndex(({ sheet }) => sheet.id === told.id);
  const now = sources[index]?.source;
  const then = useMemo((): SheetSource | undefined => {
    const designs = kindDesigns(impact.designs);
    if (!now || !designs) return undefined;
    const sheets = sources.map(({ sheet }) => sheet);
    return sheetSources({ ...now, design: designs.usual }, sheets, ({ kind }) => designs.of(kind))[index];
  }, [now, impact, sources, index]);
  const drawings = useMemo(
    () => [now, then].map((source) => (source ? drawSheet(source, typefaces) : undefined)),
    [now, then, typefaces],
  );
  const problems = newToMend(told);
  const [over, setOver] = useState(false);
  const [was, is] = drawings.map((result) => (result && 'drawing' in result ? result.drawing : undefined));
  return (
    <>
      {was && is ? (
        <Button size="small" aria-pressed={over} onClick={() => setOver(!over)} sx={{ mb: 1 }}>
          {over ? 'Side by side' : 'Over each other'}
        </Button>
      ) : null}
      {over && was && is ? (
        <Box sx={{ height: 320, display: 'flex' }}>
          <OverlaidPaper old={was} now={is} label={`${told.number} now and then`} />
        </Box>
      ) : null}
      <Box sx={{ display: over && was && is ? 'none' : 'grid', gridTemplateColumns: '1fr 1fr', gap: 4 }}>
        {drawings.map((result, i) => (
          <Box key={i === 0 ? 'now' : 'then'}>
            <Typography component="h3" sx={{ fontWeight: 600 }}>
              {i === 0 ? 'Now' : 'Then'}
            </Typography>
            {result && 'drawing' in result ? (
              <SheetPicture
                drawing={result.drawing}
                width={400}
                height={270}
                label={`${told.number} ${i === 0 ? 'now' : 'then'}`}
              />
            ) : (
              <Typography sx={{ color: 'text.secondary' }}>It cannot be drawn.</Typography>
            )}
            {told.area ? (
              <Typography sx={{ color: 'text.secondary' }}>
                Drawing area {rounded(i === 0 ? told.area.before : told.area.after)}
              </Typography>
            ) : null}
          </Box>
        ))}
      </Box>
      {problems.map((finding) => (
        <Box key={finding.message} sx={{ mt: 2 }}>
          <FindingMark finding={finding} />
        </Box>
      ))}
    </>
  );
}
