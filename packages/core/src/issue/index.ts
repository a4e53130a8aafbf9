export type { Recipient, SheetIssue } from './sheetIssue';
export { issueRows, recipientRows, recipientWords } from './sheetIssue';
