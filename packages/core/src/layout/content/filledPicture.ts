import type { Finding } from '../../check';
import type { AnyPicture } from '../../design';
import { scaledLinework } from '../../linework';
import type { Values } from '../../parameter';
import { readPictureValue } from '../../parameter';
import { parametersOf } from '../../standard';
import type { TextSetting } from './kind';
import { missingValue } from './missingValues';

/**
 * The picture with what its parameter holds: as wide as the picture is by itself, and as high as that then is. Without a value it
 * stays what it is.
 */
export function filled<P extends AnyPicture>(picture: P, values: Values): P {
  const value = picture.parameter === undefined ? undefined : readPictureValue(values[picture.parameter] ?? '');
  if (!value) return picture;
  if (value.type !== 'linework')
    return { ...picture, image: value, linework: [], height: (picture.width * value.rows) / value.columns };
  const factor = picture.width / value.width;
  const drawn = { ...picture, linework: scaledLinework(value.linework, factor), height: value.height * factor };
  delete drawn.image;
  return drawn;
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
  return [missingValue(parameter, where)];
}
