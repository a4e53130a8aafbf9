import { useRef, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { ReadingProgress } from './ReadingProgress';
import type { Bringing } from './useBringDrawings';
import { useBringDrawings } from './useBringDrawings';
import { Sign } from '../../app/FindingMark';

/** Refused files that are named; of more, their number is said. */
const MOST_NAMED = 5;

/** Where legacy drawings are dropped or chosen, one or many. */
export function BringDrawings() {
  const { bringing, refused, bring, cancel } = useBringDrawings();
  const picker = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  return (
    <Box
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void bring([...event.dataTransfer.files]);
      }}
      sx={{
        border: '1.5px dashed',
        borderColor: over ? 'primary.main' : 'text.secondary',
        bgcolor: over ? 'office.accentGround' : 'background.paper',
        borderRadius: 2,
        p: 6,
        display: 'flex',
        alignItems: 'center',
        gap: 5,
        mb: 6,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="h2" component="h2">
          Bring in old title blocks
        </Typography>
        <Typography sx={{ color: 'text.secondary', mt: 1 }}>
          Drop a DXF, SVG or PDF file here: Mendrel finds its sheet, its cells, captions and values, and shows the
          design it makes of them. Drop all sheets of a set, and they become one design and a register.
        </Typography>
        {bringing ? (
          <Box sx={{ mt: 3 }}>
            {bringing.reading ? (
              <ReadingProgress reading={bringing.reading} name={bringing.file} />
            ) : (
              <SendingProgress {...bringing} />
            )}
          </Box>
        ) : null}
        {refused.length > 0 ? (
          <Box role="alert" sx={{ color: 'error.main', mt: 2 }}>
            {refused.slice(0, MOST_NAMED).map(({ file, message }) => (
              <Typography key={file}>
                <Sign weight="error" /> {file} was not read: {message}
              </Typography>
            ))}
            {refused.length > MOST_NAMED ? <Typography>and {refused.length - MOST_NAMED} more</Typography> : null}
          </Box>
        ) : null}
      </Box>
      <input
        ref={picker}
        type="file"
        accept=".dxf,.svg,.pdf"
        multiple
        hidden
        aria-label="Drawing files"
        onChange={(event) => {
          void bring([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      {bringing ? (
        <Button variant="outlined" onClick={cancel}>
          Cancel
        </Button>
      ) : (
        <Button variant="contained" onClick={() => picker.current?.click()}>
          Choose files
        </Button>
      )}
    </Box>
  );
}

/** Which file of a set is being sent. */
function SendingProgress({ file, done, all }: Bringing) {
  return (
    <Box role="status">
      <Typography sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        Sending {done + 1} of {all}: {file}
      </Typography>
      <LinearProgress aria-label="Drawings sent" sx={{ mt: 1.5 }} variant="determinate" value={(100 * done) / all} />
    </Box>
  );
}
