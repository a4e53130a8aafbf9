export { fontFamily, svgFile, svgMarkup, svgPicture, writeSvg } from './svgWriter';
