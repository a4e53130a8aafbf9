export * from './tokens';
export * from './document';
export * from './reader';
export * from './flatten';
export * from './writer';
export { plainMtext } from './mtext';
