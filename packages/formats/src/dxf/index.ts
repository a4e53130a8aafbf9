export * from './tokens';
export * from './document';
export * from './reader';
export * from './flatten';
export * from './writing';
export { plainMtext } from './mtext';
