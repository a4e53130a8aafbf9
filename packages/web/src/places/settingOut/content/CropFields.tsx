import type { AnyPicture } from '@mendrel/core';
import { EditError, MOST_CROP } from '@mendrel/core';
import { Typed } from '../../../app/Typed';
import { Folded, Pair } from '../details/Section';
import { withOptional } from './withOptional';

type Crop = NonNullable<AnyPicture['crop']>;

const SIDES = ['left', 'right', 'top', 'bottom'] as const satisfies readonly (keyof Crop)[];
const OPPOSITE = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const;
const NONE: Crop = { left: 0, right: 0, top: 0, bottom: 0 };

const inWords = (crop: Crop): string =>
  SIDES.filter((side) => crop[side] > 0)
    .map((side) => `${side} ${crop[side]} %`)
    .join(', ');

/** How much is cut off a picture at each side, in per cent of its width or height. */
export function CropFields<P extends AnyPicture>({ of, onSet }: { of: P; onSet: (next: P) => void }) {
  const crop = of.crop ?? NONE;
  const field = (side: keyof Crop) => (
    <Typed
      key={side}
      label={`Cut off ${side}, %`}
      value={crop[side] === 0 ? '' : String(crop[side])}
      placeholder="0"
      read={(text) => {
        const value = text === '' ? 0 : Number(text.replace(/\s*%$/, '').replace(',', '.'));
        const most = MOST_CROP - crop[OPPOSITE[side]];
        if (!(value >= 0 && value <= most)) throw new EditError(`A number from 0 to ${most}.`);
        return value === 0 ? '' : String(value);
      }}
      onSet={(text) => {
        const next = { ...crop, [side]: Number(text) };
        const any = SIDES.some((each) => next[each] > 0);
        onSet(withOptional<AnyPicture, 'crop'>(of, 'crop', any ? next : undefined) as P);
      }}
    />
  );
  return (
    <Folded title="Cut off at its sides" note={of.crop ? inWords(of.crop) : 'nothing'}>
      <Pair>{SIDES.slice(0, 2).map(field)}</Pair>
      <Pair>{SIDES.slice(2).map(field)}</Pair>
    </Folded>
  );
}
