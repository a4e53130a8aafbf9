export * from './tokens';
export * from './document';
export * from './reader';
export * from './flatten';
export { plainMtext } from './mtext';
