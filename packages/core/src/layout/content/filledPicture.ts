import type { Finding } from '../../check';
import type { AnyPicture } from '../../design';
import type { Values } from '../../parameter';
import { readPictureValue } from '../../parameter';
import { parametersOf } from '../../standard';
import type { TextSetting } from './kind';

/**
 * The picture with the image that its parameter names: as wide as the picture is by itself, and as high as the image then is.
 * Without a value it stays what it is.
 */
export function filled<P extends AnyPicture>(picture: P, values: Values): P {
  const image = picture.parameter === undefined ? undefined : readPictureValue(values[picture.parameter] ?? '');
  if (!image) return picture;
  return { ...picture, image, linework: [], height: (picture.width * image.rows) / image.columns };
}

/** What is said of a parameter that gives no picture, where the picture has nothing of its own to show instead. */
export function unfilled(
  { parameter: key, image, linework }: AnyPicture,
  at: Finding['where'],
  { standard }: Pick<TextSetting, 'standard'>,
): Finding[] {
  if (key === undefined) return [];
  const where = { ...at, parameter: key };
  const parameter = parametersOf(standard).get(key);
  if (parameter?.kind !== 'picture') {
    return [
      {
        kind: 'unknown',
        weight: 'error',
        message: parameter
          ? `${parameter.name} is no picture`
          : `a picture asks for {${key}}, and there is no such parameter`,
        where,
        mend: 'choose another parameter for the picture',
      },
    ];
  }
  if (image || linework.length > 0) return [];
  return [{ kind: 'missing', weight: 'gap', message: `${parameter.name} is missing`, where }];
}
