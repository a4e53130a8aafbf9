export type { ImageHeader } from './imageFile';
export { ImageFileError, MOST_IMAGE_BYTES, MOST_PIXELS, readImageHeader, isConverted } from './imageFile';
export { readSvgPicture } from './svgPicture';
