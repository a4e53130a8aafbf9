import type { Picture, PictureFitting } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import type { EditedKind, EditorProps } from './editing';
import { PictureFields } from './PictureFields';

const FITTINGS: readonly (readonly [PictureFitting, string])[] = [
  ['natural', 'At its own size, smaller if need be'],
  ['contain', 'As large as goes in'],
  ['cover', 'Fills the cell, cut at its edges'],
];

/** A picture: its file, and how it fills its cell. */
function PictureEditor({ content, standard, unit, onChange }: EditorProps<Picture>) {
  return (
    <PictureFields picture={content} standard={standard} unit={unit} onChange={onChange}>
      <Chosen
        label="Size in the cell"
        value={content.fitting ?? 'natural'}
        options={FITTINGS}
        onSet={(fitting) => onChange({ ...content, fitting })}
      />
    </PictureFields>
  );
}

export const pictures: EditedKind<'picture'> = {
  Editor: PictureEditor,
  adding: { menu: 'Picture…', command: 'Add a picture' },
};
