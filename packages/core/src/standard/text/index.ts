export * from './lettering';
export * from './dimensionFigures';
export * from './dimensionLettering';
export * from './realSizes';
export * from './reducedPrint';
export { roleFor, USUAL_HEIGHTS } from './roleFor';
