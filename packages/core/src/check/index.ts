export * from './finding';
export * from './standardFindings';
export { deviceFindings } from './frameFindings';
