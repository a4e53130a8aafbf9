export { viewTitleSpecimen } from './viewTitleSpecimen';
export { letteringSpecimen } from './letteringSpecimen';
export { lineSpecimen, specimenSheet } from './lineSpecimen';
export { dimensionSpecimen } from './dimensionSpecimen';
export { frameSpecimen, sizeOutlines } from './sheetSpecimen';
