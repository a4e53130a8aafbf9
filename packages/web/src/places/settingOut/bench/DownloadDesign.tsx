import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { Design, TryOn, Values } from '@mendrel/core';
import { counted } from '@mendrel/core';
import type { PicturesBeside } from '../../../app/PicturesInDxf';
import { PicturesInDxf } from '../../../app/PicturesInDxf';
import { FailedDownloadNotice, useDownloads } from '../../../app/download';
import { Chosen } from '../../../app/Chosen';

interface Props {
  id: string;
  design: Design;
  /** The size and the values that are shown. */
  shown: string;
  tryOn: TryOn;
  /** Values that are typed over those. */
  typed: Values;
  /** Saves the draft, which is what is drawn. @returns whether it is saved */
  save: () => Promise<boolean>;
  onClose: () => void;
}

const SHEETS = [
  ['pdf', 'PDF'],
  ['dxf', 'DXF'],
  ['svg', 'SVG'],
] as const;

/** The design as files: a sheet of any of its sizes, to print or to draw on, and the design itself for another office. */
export function DownloadDesign({ id, design, shown, tryOn, typed, save, onClose }: Props) {
  const [size, setSize] = useState(design.sizes.some((each) => each.size === shown) ? shown : design.sizes[0]!.size);
  const [values, setValues] = useState(tryOn);
  const [pictures, setPictures] = useState<PicturesBeside>('files');
  const [unsaved, setUnsaved] = useState(false);
  const downloads = useDownloads();
  const { fetching, download } = downloads;
  const count = Object.keys(typed).length;
  const [withTyped, setWithTyped] = useState(true);
  const take = async (path: string, what: string, asked?: object): Promise<void> => {
    const saved = await save();
    setUnsaved(!saved);
    if (saved) await download(`/api/designs/${id}/${path}`, what, asked);
  };
  const asked = { size, tryOn: values, pictures, values: withTyped ? typed : {} };
  return (
    <Dialog open onClose={onClose} aria-labelledby="download-title" fullWidth maxWidth="xs">
      <DialogTitle id="download-title" sx={{ overflowWrap: 'anywhere' }}>
        Download {design.name}
      </DialogTitle>
      <FailedDownloadNotice {...downloads} />
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Typography variant="h3" component="h3">
          A sheet at true size
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          <Chosen
            label="Size"
            value={size}
            options={design.sizes.map((each) => [each.size, each.size] as const)}
            onSet={setSize}
          />
          <Chosen
            label="With"
            value={values}
            options={[
              ['blank', 'Blank values'],
              ['typical', 'Typical values'],
              ['longest', 'Longest values'],
            ]}
            onSet={setValues}
          />
        </Box>
        {count > 0 ? (
          <FormControlLabel
            control={<Checkbox size="small" checked={withTyped} onChange={(_, on) => setWithTyped(on)} />}
            label={`With ${counted(count, 'value')} typed over ${count === 1 ? 'it' : 'them'}`}
          />
        ) : null}
        <PicturesInDxf designs={[design]} value={pictures} onSet={setPictures} />
        <Box sx={{ display: 'flex', gap: 3 }}>
          {SHEETS.map(([format, name]) => (
            <Button
              key={format}
              variant="outlined"
              disabled={fetching !== undefined}
              onClick={() => void take(`sheet.${format}`, `${size} as ${name}`, asked)}
            >
              {name}
            </Button>
          ))}
        </Box>
        <Typography variant="h3" component="h3">
          The design itself
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          All sizes in one file with its pictures, for another office or to keep. Designs reads it back.
        </Typography>
        <Box>
          <Button
            variant="outlined"
            disabled={fetching !== undefined}
            onClick={() => void take('design.json', 'The design')}
          >
            Design file
          </Button>
        </Box>
        <Typography variant="h3" component="h3">
          What published standards ask of it
        </Typography>
        <Box>
          <Button
            variant="outlined"
            disabled={fetching !== undefined}
            onClick={() => void take('conformity.pdf', 'The conformity report')}
          >
            Conformity as PDF
          </Button>
        </Box>
      </DialogContent>
      <DialogActions>
        <Typography role="status" sx={{ flex: 1, pl: 4, color: 'text.secondary' }}>
          {fetching ? `${fetching} is on its way…` : unsaved ? 'The draft is not saved yet; try again.' : ''}
        </Typography>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
