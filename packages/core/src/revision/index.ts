export type { OldRevision } from './oldRevisions';
export { oldRevisions } from './oldRevisions';
export { codeAfter, FIRST_CODES, MOST_CODE_CHARACTERS, nextRevisionCode } from './revisionCodes';
export type { SheetRevision } from './sheetRevision';
export { revisionRows, standingRevisions } from './sheetRevision';
