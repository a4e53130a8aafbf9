export type { StarterBlock } from './dxf';
export { DxfError, flattenDxf, readDxf, spacesOf, writeDxf, writeStarterDrawing } from './dxf';
export { fontFamily, svgMarkup, svgPicture, writeSvg } from './svg';
export { FontFileError, lettersOf, readTypeface, readTypefaces, typefaceName } from './typeface';
