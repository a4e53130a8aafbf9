export * from './dxf';
export * from './svg';
export * from './typeface';
