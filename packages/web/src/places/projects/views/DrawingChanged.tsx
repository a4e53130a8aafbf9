import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { DrawingRecord, DrawingReplaced } from '@mendrel/contract';
import type { PieceLook } from '../../../app/assetAddress';
import { pieceAddress } from '../../../app/assetAddress';
import { PlainTable } from '../../../app/PlainTable';
import { changedParts, overlaid } from './drawingChange';
import { replacedWords } from './replacedWords';

interface Props {
  before: DrawingRecord;
  after: DrawingReplaced;
  onClose: () => void;
}

const STATES = { both: 'Both', was: 'As it was', is: 'As it is' } as const;
type State = keyof typeof STATES;

/** How wide the pictures are drawn, in mm. */
const WIDTH = 420;
/** Layers that are listed. */
const MOST_LAYERS = 12;

/** What a new file has changed: both states over each other, and what became more or less on which layer. */
export function DrawingChanged({ before, after, onClose }: Props) {
  const [state, setState] = useState<State>('both');
  const [at, setAt] = useState(0);
  const parts = changedParts(before, after.drawing);
  const part = parts[at];
  const pictures = part && overlaid(part, WIDTH);
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="drawing-changed">
      <DialogTitle id="drawing-changed">What {after.drawing.name} has changed</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 3 }}>{replacedWords(after)}.</Typography>
        {!part || !pictures ? (
          <Typography>Everything in it is as it was.</Typography>
        ) : (
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 280px', gap: 5, alignItems: 'start' }}>
            <Box sx={{ minWidth: 0 }}>
              <Box sx={{ display: 'flex', gap: 3, mb: 3, alignItems: 'center', flexWrap: 'wrap' }}>
                <ToggleButtonGroup
                  size="small"
                  exclusive
                  value={state}
                  aria-label="Which state is shown"
                  onChange={(_event, next: State | null) => next && setState(next)}
                >
                  {(Object.keys(STATES) as State[]).map((each) => (
                    <ToggleButton key={each} value={each}>
                      {STATES[each]}
                    </ToggleButton>
                  ))}
                </ToggleButtonGroup>
                <Key colour={WAS} words="only before" />
                <Key colour={IS} words="only now" />
                {parts.length > 1
                  ? parts.map(({ is }, i) => (
                      <Button
                        key={is.name}
                        size="small"
                        variant={i === at ? 'contained' : 'outlined'}
                        onClick={() => setAt(i)}
                      >
                        {is.name}
                      </Button>
                    ))
                  : null}
              </Box>
              <Box
                role="img"
                aria-label={`${part.is.name}, ${STATES[state].toLowerCase()}`}
                sx={{
                  position: 'relative',
                  aspectRatio: `${WIDTH} / ${pictures.height}`,
                  maxHeight: 460,
                  bgcolor: 'common.white',
                  border: 1,
                  borderColor: 'divider',
                  isolation: 'isolate',
                }}
              >
                {state === 'is' ? null : <Tinted look={pictures.was} colour={WAS} />}
                {state === 'was' ? null : <Tinted look={pictures.is} colour={IS} />}
              </Box>
            </Box>
            <PlainTable tight caption="Layers with more or fewer pieces" headings={['Layer', 'Was', 'Is']}>
              {part.layers.slice(0, MOST_LAYERS).map(({ name, was, is }) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td>{was}</td>
                  <td>{is}</td>
                </tr>
              ))}
              {part.layers.length === 0 ? (
                <tr>
                  <td colSpan={3}>As many pieces as before on each layer.</td>
                </tr>
              ) : null}
            </PlainTable>
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Inks of the two states on white paper; where they lie over each other they are nearly black. */
const WAS = '#c2410c';
const IS = '#0f6f68';

/** A picture in one ink, through which what lies under it shows. */
function Tinted({ look, colour }: { look: PieceLook; colour: string }) {
  const mask = `url("${pieceAddress(look)}")`;
  return (
    <Box
      sx={{ position: 'absolute', inset: 0, mixBlendMode: 'multiply' }}
      style={{
        backgroundColor: colour,
        maskImage: mask,
        maskSize: 'contain',
        maskRepeat: 'no-repeat',
        maskPosition: 'center',
      }}
    />
  );
}

const Key = ({ colour, words }: { colour: string; words: string }) => (
  <Box component="span" sx={{ display: 'inline-flex', gap: 1.5, alignItems: 'center', fontSize: '0.75rem' }}>
    <Box component="span" sx={{ width: 18, height: 3 }} style={{ backgroundColor: colour }} />
    {words}
  </Box>
);
