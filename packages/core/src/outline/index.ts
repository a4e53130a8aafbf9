export type { Outline, OutlinePart } from './outline';
export {
  EXAMPLE_OUTLINE,
  markedNames,
  MOST_OUTLINE_CHARACTERS,
  MOST_PART_NAME,
  MOST_PARTS,
  outlineValue,
  readOutlineValue,
  sameName,
} from './outline';
export { outlineOf, OutlineError } from './outlineOf';
