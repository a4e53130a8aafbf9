export * from './pens';
export * from './patterns';
export * from './layers';
export type { PenUse } from './penFor';
export { PEN_USES, penFor } from './penFor';
