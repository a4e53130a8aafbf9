import type { Design } from '@mendrel/core';
import { sheetSize, starterDesign } from '@mendrel/core';
import { DEMO_STANDARD } from './standard';

/** What goes with an issue, on A4: begun from the starter, as an office would. */
export const transmittalSheet = (): Design =>
  starterDesign('transmittal', 'Quay transmittal', 'mm', [sheetSize('ISO A4')], DEMO_STANDARD);
