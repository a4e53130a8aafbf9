import type { WorkingUnit } from '@mendrel/core';
import { DEFAULT_PADDING, formatLength } from '@mendrel/core';

/** The padding of cells that have none of their own, in the design's unit; in inches to a sixty-fourth. */
export const defaultPadding = (unit: WorkingUnit): string =>
  unit === 'mm'
    ? formatLength(DEFAULT_PADDING, 'mm', true)
    : `about ${formatLength((Math.round((DEFAULT_PADDING / 25.4) * 64) / 64) * 25.4, 'in', true)}`;
