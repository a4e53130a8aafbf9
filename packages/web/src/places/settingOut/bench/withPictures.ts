import type { TriedOn, TryOn, Values } from '@mendrel/core';
import { readPictureValue } from '@mendrel/core';

/** A try-on with the office's own pictures: there is no example of a logo that would say more. */
export function withPictures(tried: TriedOn, tryOn: TryOn, office: Values | undefined): TriedOn {
  if (tryOn === 'blank' || !office) return tried;
  const pictures = Object.entries(office).filter(([, value]) => readPictureValue(value));
  return pictures.length === 0 ? tried : { ...tried, values: { ...tried.values, ...Object.fromEntries(pictures) } };
}
