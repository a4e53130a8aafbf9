/** Published standards that a title block is held against; an office chooses which of them count. */
export const PUBLISHED_STANDARDS = [
  'ISO 7200',
  'ISO 5457',
  'ISO 3098',
  'ISO 9431',
  'ISO 128',
  'US National CAD Standard',
] as const;
export type PublishedStandard = (typeof PUBLISHED_STANDARDS)[number];
