export type {
  Caption,
  CodeContent,
  CodeLevel,
  Content,
  ContentKind,
  ContentOf,
  Field,
  Image,
  Notes,
  AnyPicture,
  OtherLanguages,
  BarCode,
  Picture,
  PictureFitting,
  SymbolContent,
  KeyPlan,
  ScaleBar,
  Signing,
  SigningForm,
  SymbolName,
  MoreRows,
  TableColumn,
  TableContent,
  TickBoxes,
} from './content';
export {
  assetSchema,
  CODE_LEVELS,
  imageSchema,
  MOST_IMAGE_SIDE,
  CONTENT_KINDS,
  contentSchema,
  kindOf,
  MORE_ROWS,
  MOST_BESIDE,
  MOST_TABLE_ROWS,
  MOST_TEXT_LINES,
  MOST_TICK_BOXES,
  parametersOfContent,
  patternsOf,
  pensOf,
  readMarks,
  rolesOf,
  writeMarks,
  shareOfWidth,
  SIGNING_FORMS,
  SIGNING_WORDS,
  SYMBOL_WORDS,
  SYMBOLS,
  inChosenLanguages,
  LEAST_OPACITY,
  MOST_CROP,
  textAt,
  withTexts,
} from './content';
export { withCondition } from './condition';
export type { Cell, Child, Division, EdgePens, Gaps, Track } from './cell';
export { NO_LINE } from './cell';
export type { Anchor, Dock, Panel } from './panel';
export { ANCHORS, DOCKS } from './panel';
export type { AnchoredPoint, Loose } from './loose';
export type { LoosePictureSize } from './loose';
export { AREA_ANCHOR, FRAME_ANCHOR, LOOSE_PICTURE_SIZES, SHEET_ANCHOR } from './loose';
export { picturesOf, withImages } from './pictures';
export type { Design, Dimension } from './schema';
export type { ModuleCorner, ModuleNames, Modules } from './modules';
export {
  MODULE_CORNERS,
  MODULE_NAMES,
  moduleCounts,
  modulePlaceSchema,
  modulesSchema,
  moduleWords,
  MOST_MODULES,
} from './modules';
export { DESIGN_VERSION, migrateDesign, withReservedAsCalled } from './migrate';

export { DesignError, formulaProblems, readDesign, readDraft, validateDesign } from './validate';
export type { TypedDivision } from './tracks';
export { readDivision, readTracks, TrackError, trackInWords, writeTracks } from './tracks';
export { takenFromStandard } from './takenFromStandard';
export { cellLabel, cellsOf, findCell, mapCells } from './visit';
export { formulasIn, mapFormulas } from './formulas';
export { dimensionUses } from './dimensionUse';
export { designDifferences } from './difference';
export type { Axis, Scaling } from './edits';
export { LEAST_FACTOR, MOST_FACTOR, scaledPicture, scaleDesign } from './edits';
export {
  addContent,
  addPanel,
  forSizes,
  takePanel,
  changeContents,
  clearCell,
  clearDimension,
  copyTrack,
  divideCell,
  divideIntoGrid,
  setGap,
  EditError,
  fillCells,
  freshId,
  idMaker,
  insertBeside,
  joinCell,
  joinNeighbours,
  lockDesign,
  lockPanel,
  mirrorPanel,
  moveContent,
  movePanel,
  moveTrack,
  namePanelLength,
  nameTrack,
  putFields,
  removeContent,
  removeDimension,
  removeLoose,
  removePanel,
  removeSize,
  removeTrack,
  renameDesign,
  renameDimension,
  setCell,
  setCellEdge,
  setContent,
  setDimension,
  setFrame,
  takeFrame,
  setLoose,
  setModules,
  setPanel,
  setPanelEdge,
  setPanelLengthOnSize,
  setSize,
  setTrack,
  setTrackLine,
  setTrackOnSize,
  soleDimension,
  splitSpan,
  suggestedName,
  trackDimensionName,
} from './edits';
