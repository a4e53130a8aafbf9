export { fontFamily, svgMarkup, svgPicture, writeSvg } from './svgWriter';
