import type { Finding } from '../check';
import type { Design } from '../design';
import { LayoutError, OTHER_REVISION, UnknownLetteringError } from '../layout';
import { UnknownSizeError } from '../standard';

/** A sheet of a size that its design was not made for: it may solve by chance, but nobody has looked at it. */
export function unservedFinding(design: Design, size: string): Finding | undefined {
  if (design.sizes.some((each) => each.size === size)) return undefined;
  return {
    kind: 'unserved',
    weight: 'error',
    message: `${design.name} is not made for ${size}`,
    where: { size },
    mend: `add ${size} to the design, or give the sheet ${either(design.sizes.map((each) => each.size))}`,
  };
}

/** Names between which one has to choose: `ISO A1, ISO A2 or ISO A3`. */
const either = (names: readonly string[]): string =>
  names.length > 1 ? `${names.slice(0, -1).join(', ')} or ${names[names.length - 1]}` : (names[0] ?? '');

/** What a design that cannot be solved tells instead of a sheet: what is missing, and what to do. */
export function unsolvedFinding(error: unknown): Finding {
  const base = { kind: 'unsolved', weight: 'error' } as const;
  if (error instanceof UnknownLetteringError || error instanceof UnknownSizeError) {
    return {
      ...base,
      message: error.message,
      where: {},
      mend: OTHER_REVISION,
    };
  }
  if (error instanceof LayoutError) {
    return {
      ...base,
      message: `${error.where}: ${error.message}`,
      where: {},
      mend: 'open the design and change it there',
    };
  }
  return { ...base, message: error instanceof Error ? error.message : String(error), where: {} };
}
