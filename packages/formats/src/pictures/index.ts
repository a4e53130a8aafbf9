export { PictureError, plainPicture, pngOf, refuseDamagedPicture } from './picture';
