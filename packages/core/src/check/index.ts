export type { Finding } from './finding';
export { inWords, rankOf, weighty, worstFinding } from './finding';
export { standardFindings } from './standardFindings';
export { deviceFindings } from './frameFindings';
export { topicOf } from './topic';
