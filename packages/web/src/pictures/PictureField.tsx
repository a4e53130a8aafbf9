import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { pictureValue, readPictureValue } from '@mendrel/core';
import { assetAddress } from '../app/assetAddress';
import { Sign } from '../app/FindingMark';
import { PictureChooser } from './PictureChooser';

interface Props {
  label: string;
  value: string;
  problem: string | undefined;
  hint: string;
  onChange: (value: string) => void;
}

/** A picture that is data: what it is by now, another file for it, or none. */
export function PictureField({ label, value, problem, hint, onChange }: Props) {
  const [choosing, setChoosing] = useState(false);
  const image = readPictureValue(value);
  return (
    <Box role="group" aria-label={label}>
      <Typography variant="caption" component="div" sx={{ color: 'text.secondary' }}>
        {label}
      </Typography>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', minHeight: 48 }}>
        {image ? (
          <>
            <Box
              component="img"
              src={assetAddress(image.asset)}
              alt={`${label}, ${image.columns} by ${image.rows} dots`}
              sx={{ height: 44, maxWidth: 180, objectFit: 'contain', bgcolor: 'common.white', borderRadius: 1 }}
            />
            <Typography sx={{ color: 'text.secondary' }}>
              {image.columns} × {image.rows} dots
            </Typography>
          </>
        ) : (
          <Typography sx={{ color: 'text.secondary' }}>{hint || 'No picture yet.'}</Typography>
        )}
        <Button size="small" onClick={() => setChoosing(true)}>
          {image ? 'Choose another…' : 'Choose a picture…'}
        </Button>
        {image ? (
          <Button size="small" color="inherit" onClick={() => onChange('')}>
            Remove
          </Button>
        ) : null}
      </Box>
      {problem === undefined ? null : (
        <Typography role="alert" sx={{ color: 'error.main' }}>
          <Sign weight="error" /> {problem}
        </Typography>
      )}
      {choosing ? (
        <PictureChooser
          take="Use picture"
          asImage
          onClose={() => setChoosing(false)}
          onChosen={({ image: chosen }) => {
            if (chosen && 'asset' in chosen) onChange(pictureValue(chosen));
          }}
        />
      ) : null}
    </Box>
  );
}
