export type { Dropped, LegacyDrawing, NamedPicture } from './legacyDrawing';
export { PAGE_EDGE } from './legacyDrawing';
export { MARK_WORDS } from './marks';
export type { ReportPicture } from './oldPictures';
export type {
  IntakeReport,
  ReportLayer,
  ReportLettering,
  ReportText,
  SheetCandidate,
  ProposedParameter,
} from './report';
export { rowsInReport } from './reportRows';
export type { IntakeProgress, IntakeStep, TellProgress } from './progress';
export { INTAKE_STEPS } from './progress';
export type { Corrections, Lessons, TextCorrection } from './corrections';
export { correctionsSchema, MOST_REACH, NO_LESSONS, SAME_HEIGHT } from './corrections';
export { convertLegacy, convertSpaces } from './convert';
export type { Conversion, LegacySpace } from './convert';
export type { ReadDrawing, RegisterSheet, SheetGroup } from './sheetSet';
export { sheetGroups } from './sheetSet';
export { facesOf } from './faces';
export { ruledLines } from './linework';
export { IntakeError } from './seenSheet';
export type { IntakeContext } from './seenSheet';
export { normalCaption, parameterOfCaption, parameterOfTag } from './lexicon';
export type { CleaningStep } from './cleaning';
export type { Difference } from './comparison';
export type { LineUse, ReportPen } from './oldPens';
export type { LegacyPlace } from './places';
export type { OwnSizes } from './ownSizes';
export { ownSizesOf } from './ownSizes';
export type { Teachable } from './teachable';
export { teachableBy } from './teachable';
export type { Asked, Fate } from './asked';
export { askedAt } from './asked';
export type { SetProposal } from './setProposals';
export { correctionsForOther } from './correctionsForOther';
