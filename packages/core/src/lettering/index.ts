export * from './typeface';
export * from './lineBreaking';
export * from './fit';
