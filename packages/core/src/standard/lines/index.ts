export * from './pens';
export * from './patterns';
export * from './layers';
