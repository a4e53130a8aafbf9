export type { ScaleWording, View } from './view';
export { sheetScale, viewSchema } from './view';
export type { ModuleGrid, PlacedView } from './moduleGrid';
export {
  freeModule,
  moduleAt,
  moduleGrid,
  moduleName,
  moduleRect,
  placeViews,
  scaleChoices,
  whyNoRoom,
} from './moduleGrid';
