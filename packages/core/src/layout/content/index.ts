export { DEFAULT_PADDING, layContents, naturalSize, paddingOf, shownContents } from './contents';
export type { TextSetting } from './texts';
export { UnknownLetteringError } from './texts';
