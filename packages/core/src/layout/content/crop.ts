import type { AnyPicture } from '../../design';
import type { Rect } from '../../geometry';

/** The size in mm of what a picture shows of itself, at its own size. */
export function croppedSize({ width, height, crop }: Pick<AnyPicture, 'width' | 'height' | 'crop'>): {
  width: number;
  height: number;
} {
  if (!crop) return { width, height };
  return {
    width: (width * (100 - crop.left - crop.right)) / 100,
    height: (height * (100 - crop.top - crop.bottom)) / 100,
  };
}

/** Where the whole of a picture would lie, by where the part that it shows does. */
export function uncropped(shown: Rect, crop: AnyPicture['crop']): Rect {
  if (!crop) return shown;
  const width = (shown.width * 100) / (100 - crop.left - crop.right);
  const height = (shown.height * 100) / (100 - crop.top - crop.bottom);
  return { x: shown.x - (width * crop.left) / 100, y: shown.y - (height * crop.bottom) / 100, width, height };
}
