export type { ScaleWording, View, ViewDrawing } from './view';
export { sheetScale, viewSchema } from './view';
export { arrangedViews } from './arrange';
export type { ModuleGrid, PlacedView, ScaleChoice } from './moduleGrid';
export {
  freeModule,
  moduleAt,
  moduleGrid,
  moduleName,
  moduleNear,
  moduleRect,
  placeViews,
  scaleChoices,
  whyNoRoom,
} from './moduleGrid';
