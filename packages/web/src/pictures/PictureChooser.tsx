import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { WorkingUnit } from '@mendrel/core';
import { amountInWords } from '@mendrel/core';
import { api, errorOf } from '../app/api';
import type { ReadPicture } from './readPicture';
import { Sign } from '../app/FindingMark';

interface Props {
  /** Words on the button that takes it. */
  take: string;
  /** It becomes the value of a parameter. */
  asValue?: true;
  /** In which its size is told. */
  unit?: WorkingUnit;
  onChosen: (picture: ReadPicture['picture']) => void;
  onClose: () => void;
}

/** Chooses a picture file; what is wrong with it, and what was left out of it, is said before it is taken. */
export function PictureChooser({ take: takeWords, asValue, unit = 'mm', onChosen, onClose }: Props) {
  const [read, setRead] = useState<ReadPicture>();
  const [problem, setProblem] = useState<string>();
  const [keep] = api.useAddImageMutation();
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setRead(undefined);
    setProblem(undefined);
    // What reads pictures is fetched when the first one is chosen.
    const { readPicture } = await import('./readPicture');
    const result = await readPicture(
      file,
      async (image) => {
        const kept = await keep(image);
        return kept.data ?? { problem: errorOf(kept.error).message };
      },
      asValue,
    );
    if ('problem' in result) setProblem(`${file.name}: ${result.problem}.`);
    else setRead(result);
  };
  const extent = read
    ? `${amountInWords(read.picture.width, unit)} × ${amountInWords(read.picture.height, unit)}${
        read.picture.image ? `, ${read.picture.image.columns} × ${read.picture.image.rows} pixels` : ', linework'
      }`
    : '';
  return (
    <Dialog open onClose={onClose} aria-labelledby="picture-title" fullWidth maxWidth="xs">
      <DialogTitle id="picture-title">Choose a picture</DialogTitle>
      <DialogContent>
        <Typography sx={{ color: 'text.secondary', mb: 3 }}>
          PNG, JPEG, TIFF, WebP or SVG, up to 3 MB and 40 million pixels.
        </Typography>
        <Button component="label" variant="outlined">
          Choose a file…
          <Box
            component="input"
            type="file"
            accept=".png,.jpg,.jpeg,.tif,.tiff,.webp,.svg,image/png,image/jpeg,image/tiff,image/webp,image/svg+xml"
            aria-label="Picture file"
            onChange={(event: React.ChangeEvent<HTMLInputElement>) => void take(event.target.files?.[0])}
            sx={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          />
        </Button>
        {problem ? (
          <Typography role="alert" sx={{ color: 'error.main', mt: 3 }}>
            <Sign weight="error" /> {problem}
          </Typography>
        ) : null}
        {read ? (
          <Box role="status" sx={{ mt: 3 }}>
            <Typography>
              {read.picture.name}: {extent}
            </Typography>
            {read.dropped.length > 0 ? (
              <Typography sx={{ color: 'warning.main' }}>
                <Sign weight="gap" /> Left out of it: {read.dropped.join(', ')}.
              </Typography>
            ) : null}
          </Box>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!read}
          onClick={() => {
            if (read) onChosen(read.picture);
            onClose();
          }}
        >
          {takeWords}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
