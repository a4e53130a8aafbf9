export type { FitOnSize, FitReport, FitRow, FitState } from './fitReport';
export { FIT_STATES, fitRank, fitReport } from './fitReport';
export type { Inconsistency } from './consistency';
export { inconsistencies } from './consistency';
export type { DesignOnStandard, TextHeight } from './textHeights';
export { textHeights } from './textHeights';
export type { ConformityLine } from './conformity';
export { conformity, conformityPages } from './conformity';
