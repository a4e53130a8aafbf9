export * from './catalogue';
export * from './textPattern';
