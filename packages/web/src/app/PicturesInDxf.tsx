import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Design } from '@mendrel/core';
import { picturesOf } from '@mendrel/core';

const CHOICES = [
  ['files', 'Files beside it, in an archive'],
  ['outlines', 'Outlines with their names'],
] as const;

/** What becomes of pictures in a DXF file, which holds none itself. */
export type PicturesBeside = (typeof CHOICES)[number][0];

interface Props {
  /** What is downloaded is of these; a picture of linework is lines in every format, and needs no choice. */
  designs: readonly Design[];
  value: PicturesBeside;
  onSet: (value: PicturesBeside) => void;
}

/** Chooses what becomes of pictures in a DXF file, where a design may have some. */
export function PicturesInDxf({ designs, value, onSet }: Props) {
  const images = designs.flatMap(picturesOf).some(({ image, parameter }) => image ?? parameter);
  return images ? (
    <TextField
      select
      label="Pictures in DXF"
      value={value}
      onChange={(event) => onSet(event.target.value as PicturesBeside)}
      slotProps={{ inputLabel: { shrink: true } }}
      sx={{ maxWidth: 280 }}
    >
      {CHOICES.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  ) : null;
}
