export type {
  ArcItem,
  Drawing,
  FillItem,
  ImageItem,
  Item,
  OldPen,
  PieceItem,
  PiecePen,
  StrokeItem,
  TextItem,
} from './drawing';
export { beforeTurn, boundsOf, boundsOfPoints, rectPoints } from './drawing';
export { arcPoints } from './arcPoints';
export { drawnTexts } from './drawnTexts';
export { placed, turned, turnedBox } from './transform';
export type { Segment } from './segments';
export { distanceTo, eachSegment, segmentsOf } from './segments';
export type { Deviation, SegmentDeviation } from './deviation';
export { deviationBetween, deviationOf, deviationsFrom } from './deviation';
