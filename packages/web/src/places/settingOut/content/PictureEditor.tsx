import { useState } from 'react';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Picture, PictureFitting } from '@mendrel/core';
import { EditError, formatLength, MM_PER, parametersOf, parseLength, QuantityError } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Row } from '../details/Section';
import { Typed } from '../details/Typed';
import type { EditedKind, EditorProps } from './editing';
import { PictureChooser } from '../../../pictures/PictureChooser';
import { withOptional } from './withOptional';

const FITTINGS: readonly (readonly [PictureFitting, string])[] = [
  ['natural', 'At its own size, smaller if need be'],
  ['contain', 'As large as goes in'],
  ['cover', 'Fills the cell, cut at its edges'],
];

/** The dots of an image, and how many of them an inch of paper gets at its own width in mm. */
const dotsInWords = (columns: number, rows: number, width: number): string =>
  `${columns} × ${rows} pixels, ${Math.round((columns * MM_PER.in) / width)} to the inch at its own width`;

/** A picture: how it fills its cell, its own size, and another file for it. */
function PictureEditor({ content, standard, unit, onChange }: EditorProps<Picture>) {
  const [choosing, setChoosing] = useState(false);
  return (
    <>
      <Typography sx={{ color: 'text.secondary' }}>
        {content.name || 'Picture'}
        {content.image ? `, ${dotsInWords(content.image.columns, content.image.rows, content.width)}` : ', linework'}
      </Typography>
      <Chosen
        label="Filled from"
        value={content.parameter ?? ''}
        options={[
          ['', 'This picture on every sheet'],
          ...[...parametersOf(standard).values()]
            .filter(({ kind }) => kind === 'picture')
            .map(({ key, name }) => [key, name] as const),
        ]}
        {...(content.parameter === undefined ? {} : { help: 'This picture stands where there is none' })}
        onSet={(key) => onChange(withOptional(content, 'parameter', key || undefined))}
      />
      <Chosen
        label="Size in the cell"
        value={content.fitting ?? 'natural'}
        options={FITTINGS}
        onSet={(fitting) => onChange({ ...content, fitting })}
      />
      <Typed
        label={`Own width, ${unit}`}
        value={formatLength(content.width, unit)}
        read={(text) => {
          try {
            const mm = parseLength(text, unit);
            if (mm <= 0 || mm > 5000)
              throw new EditError(`A width of more than 0 and at most ${formatLength(5000, unit, true)}.`);
            return String(mm);
          } catch (error) {
            throw error instanceof QuantityError ? new EditError(error.message) : error;
          }
        }}
        onSet={(text) => {
          // Its proportions stay, whatever width it is given.
          const width = Number(text);
          const scale = width / content.width;
          const linework = content.linework.map((piece) =>
            piece.kind === 'stroke'
              ? { ...piece, points: piece.points.map((value) => value * scale) }
              : piece.kind === 'fill'
                ? { ...piece, rings: piece.rings.map((ring) => ring.map((value) => value * scale)) }
                : {
                    ...piece,
                    centre: [piece.centre[0] * scale, piece.centre[1] * scale] as [number, number],
                    radius: piece.radius * scale,
                  },
          );
          onChange({ ...content, width, height: content.height * scale, linework });
        }}
      />
      <Row>
        <Button size="small" onClick={() => setChoosing(true)}>
          Choose another…
        </Button>
      </Row>
      {choosing ? (
        <PictureChooser
          take="Insert picture"
          onClose={() => setChoosing(false)}
          onChosen={({ name, width, height, linework, image }) => {
            const next: Picture = { ...content, name, width, height, linework };
            if (image) next.image = image;
            else delete next.image;
            onChange(next);
          }}
        />
      ) : null}
    </>
  );
}

export const pictures: EditedKind<'picture'> = {
  Editor: PictureEditor,
  adding: { menu: 'Picture…', command: 'Add a picture' },
};
