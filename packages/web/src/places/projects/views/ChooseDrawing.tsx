import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { DrawingRecord, DrawingReplaced } from '@mendrel/contract';
import type { LetteringOfViews, ModuleGrid, Pen, View, WorkingUnit } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { FileButton } from '../../../app/FileButton';
import { Failed, Loading } from '../../../app/states';
import type { Chosen } from './chosenWindow';
import { chosenOf, wholeOf } from './chosenWindow';
import { DrawingChanged } from './DrawingChanged';
import { DrawingPart } from './DrawingPart';
import { ProjectDrawings } from './ProjectDrawings';
import { drawingApi } from './drawingApi';
import type { Coming } from './useBringDrawing';
import { useBringDrawing } from './useBringDrawing';

interface Props {
  projectId: string;
  /** The view whose drawing is chosen; undefined for a new one. */
  view: View | undefined;
  grid: ModuleGrid;
  /** What lengths on paper are told in, and those of the building. */
  unit: WorkingUnit;
  works: WorkingUnit;
  scales: readonly string[];
  lettering: LetteringOfViews;
  /** Those of the standard. */
  pens: readonly Pick<Pen, 'id' | 'name'>[];
  onChoose: (chosen: Chosen) => void;
  /** Makes new views of parts of drawings, which wait in the tray. */
  onTray: (chosen: readonly Chosen[]) => void;
  onClose: () => void;
}

/** Chooses what a view shows: a drawing of the project or a new one, a part of it, its unit, a window and its layers. */
export function ChooseDrawing({ projectId, view, onChoose, onTray, onClose, ...part }: Props) {
  const drawings = drawingApi.useDrawingsQuery(projectId);
  const [picked, setPicked] = useState<Chosen>();
  const [changed, setChanged] = useState<{ before: DrawingRecord; after: DrawingReplaced }>();
  const { coming, refused, bring, replace, cancel } = useBringDrawing(projectId);
  const [remove] = drawingApi.useDeleteDrawingMutation();
  const { enqueueSnackbar } = useSnackbar();
  const known = drawings.data;
  const chosen = picked ?? (view && known ? chosenOf(view, known) : undefined);
  const take = async (file: File): Promise<void> => {
    const added = await bring(file);
    const [space] = added?.spaces ?? [];
    if (added && space) setPicked(wholeOf(added, space, part.works));
  };
  /** A new file in the place of the drawing that is chosen; what was chosen of it stays. */
  const takeInstead = async (file: File, { drawing: before, space, ...rest }: Chosen): Promise<void> => {
    const replaced = await replace(file, before);
    if (!replaced) return;
    const { drawing, sheets } = replaced;
    const next = drawing.spaces.find(({ name }) => name === space.name) ?? drawing.spaces[0];
    if (next) setPicked(sheets.length > 0 ? { ...rest, drawing, space: next } : wholeOf(drawing, next, part.works));
    setChanged({ before, after: replaced });
  };
  const deleteIt = async (drawing: DrawingRecord): Promise<void> => {
    const result = await remove(drawing.id);
    if (result.error) enqueueSnackbar(`Not deleted: ${errorOf(result.error).message}`, { variant: 'error' });
    else {
      setPicked(undefined);
      enqueueSnackbar(`${drawing.name} deleted`);
    }
  };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="choose-drawing">
      <DialogTitle id="choose-drawing">{view ? `The drawing of ${view.name}` : 'Add a view of a drawing'}</DialogTitle>
      <DialogContent sx={{ display: 'flex', gap: 6, minHeight: 460 }}>
        <Box sx={{ width: 230, flex: 'none' }}>
          <FileButton
            of="A drawing for the view"
            accept={ACCEPTED}
            variant={known?.length === 0 ? 'contained' : 'outlined'}
            disabled={coming !== undefined}
            onFile={(file) => void take(file)}
          >
            Bring a drawing…
          </FileButton>
          <Typography variant="caption" component="p" sx={{ color: 'text.secondary', mt: 1, mb: 3 }}>
            DXF, SVG, PDF, PNG or JPEG, up to 64 MB
          </Typography>
          {coming ? <ComingDrawing coming={coming} onCancel={cancel} /> : null}
          {refused === undefined ? null : (
            <Alert severity="error" sx={{ mb: 2 }}>
              {refused}
            </Alert>
          )}
          {drawings.error ? <Failed error={drawings.error} retry={() => void drawings.refetch()} /> : null}
          {drawings.isLoading ? <Loading what="the drawings" /> : null}
          {known ? <ProjectDrawings drawings={known} chosen={chosen} works={part.works} onChoose={setPicked} /> : null}
        </Box>
        {chosen ? (
          <DrawingPart
            chosen={chosen}
            onChange={setPicked}
            {...part}
            actions={
              <>
                <FileButton
                  of={`A new file for ${chosen.drawing.name}`}
                  accept={ACCEPTED}
                  size="small"
                  disabled={coming !== undefined}
                  onFile={(file) => void takeInstead(file, chosen)}
                >
                  New file…
                </FileButton>
                <Button size="small" color="inherit" onClick={() => void deleteIt(chosen.drawing)}>
                  Delete
                </Button>
              </>
            }
          />
        ) : (
          <Typography sx={{ color: 'text.secondary', m: 'auto', maxWidth: 360, textAlign: 'center' }}>
            A view shows a window of a drawing at scale. Bring a drawing, or choose one that the project has.
          </Typography>
        )}
      </DialogContent>
      {changed ? <DrawingChanged {...changed} onClose={() => setChanged(undefined)} /> : null}
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        {!view && chosen && chosen.drawing.spaces.length > 1 ? (
          <Button
            onClick={() => onTray(chosen.drawing.spaces.map((space) => wholeOf(chosen.drawing, space, part.works)))}
          >
            All {chosen.drawing.spaces.length} parts into the tray
          </Button>
        ) : null}
        {view ? null : (
          <Button disabled={!chosen} onClick={() => chosen && onTray([chosen])}>
            Put it into the tray
          </Button>
        )}
        <Button variant="contained" disabled={!chosen} onClick={() => chosen && onChoose(chosen)}>
          {view ? 'Show it in this view' : 'Add the view'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Kinds of files that drawings come in. */
const ACCEPTED = '.dxf,.svg,.pdf,.png,.jpg,.jpeg';
/** How often it is asked how far the reading is, in ms. */
const ASKED_EVERY = 400;

function ComingDrawing({ coming: { file, reading }, onCancel }: { coming: Coming; onCancel: () => void }) {
  const { data } = drawingApi.useDrawingReadingQuery(reading, { pollingInterval: ASKED_EVERY });
  const part = data?.progress?.part;
  return (
    <Box role="status" sx={{ mb: 3 }}>
      <Typography noWrap>Reading {file}</Typography>
      <LinearProgress
        aria-label={`How far ${file} is read`}
        sx={{ my: 1 }}
        {...(part === undefined ? { variant: 'indeterminate' } : { variant: 'determinate', value: 100 * part })}
      />
      <Button size="small" onClick={onCancel}>
        Stop
      </Button>
    </Box>
  );
}
