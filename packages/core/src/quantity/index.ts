export * from './length';
export * from './scale';
