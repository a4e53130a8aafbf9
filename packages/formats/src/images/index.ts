export type { ImageHeader } from './imageFile';
export { ImageFileError, MOST_IMAGE_BYTES, MOST_PIXELS, readImageHeader } from './imageFile';
export { readSvgPicture } from './svgPicture';
