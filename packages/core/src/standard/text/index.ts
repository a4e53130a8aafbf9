export * from './lettering';
export * from './dimensionLettering';
export * from './realSizes';
export * from './reducedPrint';
