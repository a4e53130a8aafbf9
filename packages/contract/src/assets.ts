import type { Image } from '@mendrel/core';

/** Largest image file that may be sent, in bytes. */
export const MOST_IMAGE_BYTES = 3 * 1024 * 1024;

/** An image that is kept: how documents refer to it. */
export type KeptImage = Extract<Image, { asset: string }>;

/** An image that was sent and kept, beside it what its file says of its size on paper. */
export interface AddedImage extends KeptImage {
  dotsPerInch?: number;
}
