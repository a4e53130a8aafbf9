import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PictureValue } from '@mendrel/core';
import { pictureValue, readPictureValue } from '@mendrel/core';
import { assetAddress } from '../app/assetAddress';
import { Sign } from '../app/FindingMark';
import { LineworkShapes } from './LineworkShapes';
import { PictureChooser } from './PictureChooser';

interface Props {
  label: string;
  value: string;
  problem: string | undefined;
  hint: string;
  onChange: (value: string) => void;
}

const SMALL = { height: 44, maxWidth: 180, bgcolor: 'common.white', color: 'common.black', borderRadius: 1 } as const;

/** A picture in small, with how large it is. */
function Shown({ label, picture }: { label: string; picture: PictureValue }) {
  if (picture.type !== 'linework') {
    const { asset, columns, rows } = picture;
    return (
      <>
        <Box
          component="img"
          src={assetAddress(asset)}
          alt={`${label}, ${columns} by ${rows} dots`}
          sx={{ ...SMALL, objectFit: 'contain' }}
        />
        <Typography sx={{ color: 'text.secondary' }}>
          {columns} × {rows} dots
        </Typography>
      </>
    );
  }
  const { width, height, linework } = picture;
  const line = Math.max(width, height) / 200;
  return (
    <>
      <Box
        component="svg"
        role="img"
        aria-label={`${label}, linework`}
        viewBox={`0 0 ${width} ${height}`}
        sx={{ ...SMALL, aspectRatio: `${width} / ${height}` }}
      >
        <g transform={`matrix(1 0 0 -1 0 ${height})`} strokeWidth={line}>
          <LineworkShapes linework={linework} />
        </g>
      </Box>
      <Typography sx={{ color: 'text.secondary' }}>linework, sharp at every size</Typography>
    </>
  );
}

/** A picture that is data: what it is by now, another file for it, or none. */
export function PictureField({ label, value, problem, hint, onChange }: Props) {
  const [choosing, setChoosing] = useState(false);
  const picture = readPictureValue(value);
  return (
    <Box role="group" aria-label={label}>
      <Typography variant="caption" component="div" sx={{ color: 'text.secondary' }}>
        {label}
      </Typography>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', minHeight: 48 }}>
        {picture ? (
          <Shown label={label} picture={picture} />
        ) : (
          <Typography sx={{ color: 'text.secondary' }}>{hint || 'No picture yet.'}</Typography>
        )}
        <Button size="small" onClick={() => setChoosing(true)}>
          {picture ? 'Choose another…' : 'Choose a picture…'}
        </Button>
        {picture ? (
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
          asValue
          onClose={() => setChoosing(false)}
          onChosen={({ image: chosen, width, height, linework }) => {
            if (!chosen) onChange(pictureValue({ type: 'linework', width, height, linework }));
            else if ('asset' in chosen) onChange(pictureValue(chosen));
          }}
        />
      ) : null}
    </Box>
  );
}
