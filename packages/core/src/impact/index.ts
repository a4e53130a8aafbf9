export type { TextImpact } from './letteringImpact';
export { addImpacts, textImpact } from './letteringImpact';
export { placesUsing, renameKind, renameParameter } from './parameterUse';
