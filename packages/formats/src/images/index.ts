export type { ImageHeader } from './imageFile';
export { ImageFileError, MOST_PIXELS, readImageHeader } from './imageFile';
export { readSvgPicture } from './svgPicture';
