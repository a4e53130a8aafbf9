export { svgPicture } from './svgPicture';
export { fontFamily, svgFile, svgMarkup, writeSvg } from './svgWriter';
