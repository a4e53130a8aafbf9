export { convertedPicture, PictureError, plainPicture, pngOf, refuseDamagedPicture } from './picture';
