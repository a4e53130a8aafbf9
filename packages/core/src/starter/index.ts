export type { Starter } from './starters';
export { RULED_FRAME, starterDesign, STARTERS, usualOrientation } from './starters';
