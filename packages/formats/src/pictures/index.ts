export { PictureError, plainPicture, refuseDamagedPicture } from './picture';
