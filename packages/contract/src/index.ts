export type { AddedImage, KeptImage } from './assets';
export { MOST_IMAGE_BYTES } from './assets';
export type { ApiError } from './errors';
export { idSchema } from './errors';
export type { IssueBlocks, LongestValues, Office, OfficeChange } from './office';
export { ISSUE_BLOCKS, officeChangeSchema, valuesSchema } from './office';
export type {
  DesignImpact,
  ImpactProgress,
  ParameterUse,
  PublishStandard,
  StandardAdded,
  StandardAddition,
  StandardAdditionRequest,
  StandardAt,
  StandardChangeRequest,
  StandardImpact,
  StandardState,
  TypefaceRecord,
} from './standard';
export {
  MOST_FONT_BYTES,
  MOST_STARTER_DESIGNS,
  publishStandardSchema,
  standardAdditionSchema,
  standardChangeSchema,
  standardImpactSchema,
  typefaceSchema,
} from './standard';
export type {
  DesignAt,
  DesignChange,
  DesignCheckpoint,
  DesignCreate,
  DesignMove,
  DesignRecord,
  TextHeightsRecord,
  DesignRevision,
  DesignStarter,
  DesignSummary,
  KeepCheckpoint,
  PublishDesign,
} from './designs';
export {
  designChangeSchema,
  designStarterSchema,
  designCreateSchema,
  keepCheckpointSchema,
  MOST_CHECKPOINTS,
  publishDesignSchema,
} from './designs';
export type { ProjectTables } from './tables';
export { projectTablesChangeSchema } from './tables';
export type {
  DesignSwap,
  DesignSwapImpact,
  Project,
  ProjectChange,
  ProjectCreate,
  ProjectDesignsRecord,
  ProjectKind,
  ProjectKindChange,
  ProjectPage,
} from './projects';
export type { TakenAlong } from './projects';
export {
  designSwapSchema,
  LONGEST_FIND,
  MOST_SWAPPED,
  PROJECTS_ON_A_PAGE,
  projectChangeSchema,
  projectCreateSchema,
  TAKEN_ALONG,
} from './projects';
export type { Revision, RevisionChange, RevisionCreate } from './revisions';
export { MOST_REVISIONS, revisionChangeSchema, revisionCreateSchema } from './revisions';
export type {
  Sheet,
  SheetChange,
  SheetCreate,
  NewSheet,
  SheetsChange,
  SheetsChanged,
  SheetsWish,
  TrayChange,
} from './sheets';
export {
  MOST_SHEETS,
  MOST_WAITING,
  sheetChangeSchema,
  sheetCreateSchema,
  sheetKindSchema,
  sheetsChangeSchema,
} from './sheets';
export type {
  ConversionRecord,
  IntakeSet,
  IntakeSetRecord,
  Keep,
  LegacyRecord,
  Lesson,
  ProposedParameterChoice,
  ReadingRecord,
  TakeOver,
} from './intake';
export {
  addLegacySchema,
  applyCorrectionsSchema,
  keepSchema,
  lessonSchema,
  MOST_SET_DRAWINGS,
  MOST_UPLOAD_BYTES,
  proposedParameterSchema,
  setCreateSchema,
  takeOverSchema,
} from './intake';
export type { ProjectAreas, ProjectAreasChange, SourceAreas } from './areas';
export { measureSchema, projectAreasChangeSchema } from './areas';
export type { DrawingRecord, DrawingReplaced, DrawingSpace, Piece } from './drawings';
export { addDrawingSchema, MOST_PROJECT_DRAWINGS, pieceSchema, wholePiece } from './drawings';
export type { HistoryEntry } from './history';
export { HISTORY_PAGE } from './history';
export type { BinEntry, BinKind } from './bin';
export { BIN_KINDS, BIN_PAGE, KEPT_DAYS } from './bin';
export type { SheetSet, SheetSetChange, SheetSetCreate } from './sets';
export { MOST_SETS, sheetSetChangeSchema, sheetSetCreateSchema } from './sets';
export type { Issue, IssueChange, IssueCheck, IssueComparison, IssueCreate, IssuedSheet, IssueWish } from './issues';
export {
  issueChangeSchema,
  issueCreateSchema,
  issueWishSchema,
  MOST_ISSUES,
  MOST_RECIPIENTS,
  MOST_TOLD,
} from './issues';
export type { DeskGroup, DeskProject, DeskRecord, DueSet, LateDesign, SheetFindings } from './desk';
export { DESK_PAGE, MOST_ON_DESK, NAMED_PROJECTS, NAMED_SHEETS } from './desk';
