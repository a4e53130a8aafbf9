import { useState } from 'react';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { AnyPicture, OfficeStandard, WorkingUnit } from '@mendrel/core';
import {
  EditError,
  formatLength,
  MM_PER,
  parametersOf,
  parseLength,
  QuantityError,
  scaledPicture,
} from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { Pair, Row } from '../details/Section';
import { Typed } from '../../../app/Typed';
import { PictureChooser } from '../../../pictures/PictureChooser';
import { CropFields } from './CropFields';
import { OpacityField } from './OpacityField';
import { withOptional } from './withOptional';

/** The dots of an image, and how many of them an inch of paper gets at its own width in mm. */
const dotsInWords = (columns: number, rows: number, width: number): string =>
  `${columns} × ${rows} pixels, ${Math.round((columns * MM_PER.in) / width)} to the inch at its own width`;

function inWords({ name, image, linework, width }: AnyPicture): string {
  if (image) return `${name || 'Picture'}, ${dotsInWords(image.columns, image.rows, width)}`;
  return linework.length > 0 ? `${name || 'Picture'}, linework` : 'No file yet';
}

/** A width in mm from words in a unit. @throws EditError for one that no picture may have */
function readWidth(text: string, unit: WorkingUnit): string {
  try {
    const mm = parseLength(text, unit);
    if (mm <= 0 || mm > 5000)
      throw new EditError(`A width of more than 0 and at most ${formatLength(5000, unit, true)}.`);
    return String(mm);
  } catch (error) {
    throw error instanceof QuantityError ? new EditError(error.message) : error;
  }
}

interface Props<P> {
  picture: P;
  standard: OfficeStandard;
  unit: WorkingUnit;
  onChange: (picture: P) => void;
  /** What else is chosen of it, after where it is filled from. */
  children?: React.ReactNode;
}

/** What a picture is, wherever it stands: its file, what fills it, its own width and how much it covers. */
export function PictureFields<P extends AnyPicture>({ picture, standard, unit, onChange, children }: Props<P>) {
  const [choosing, setChoosing] = useState(false);
  const empty = !picture.image && picture.linework.length === 0;
  return (
    <>
      <Typography sx={{ color: 'text.secondary' }}>{inWords(picture)}</Typography>
      <Chosen
        label="Filled from"
        value={picture.parameter ?? ''}
        options={[
          ['', 'This picture on every sheet'],
          ...[...parametersOf(standard).values()]
            .filter(({ kind }) => kind === 'picture')
            .map(({ key, name }) => [key, name] as const),
        ]}
        {...(picture.parameter === undefined ? {} : { help: 'This picture stands where there is none' })}
        onSet={(key) => onChange(withOptional<AnyPicture, 'parameter'>(picture, 'parameter', key || undefined) as P)}
      />
      {children}
      <Pair>
        <Typed
          label={`Own width, ${unit}`}
          value={formatLength(picture.width, unit)}
          read={(text) => readWidth(text, unit)}
          onSet={(text) => onChange(scaledPicture(picture, Number(text) / picture.width))}
        />
        <OpacityField of={picture} onSet={onChange} />
      </Pair>
      <CropFields of={picture} onSet={onChange} />
      <Row>
        <Button size="small" onClick={() => setChoosing(true)}>
          {empty ? 'Choose a picture…' : 'Choose another…'}
        </Button>
      </Row>
      {choosing ? (
        <PictureChooser
          take="Insert picture"
          unit={unit}
          onClose={() => setChoosing(false)}
          onChosen={({ name, width, height, linework, image }) =>
            onChange(
              withOptional<AnyPicture, 'image'>({ ...picture, name, width, height, linework }, 'image', image) as P,
            )
          }
        />
      ) : null}
    </>
  );
}
