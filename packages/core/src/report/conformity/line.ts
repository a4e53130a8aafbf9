import type { Design } from '../../design';
import type { SheetLayout } from '../../layout';
import type { OfficeStandard, PublishedStandard } from '../../standard';

/** What a published standard asks for, and what a design does. All values of the standards are from memory. */
export interface ConformityLine {
  standard: PublishedStandard;
  rule: string;
  found: string;
  needed: string;
  verdict: 'met' | 'not met' | 'does not apply';
  /** Where it stands in the design. */
  cells: readonly string[];
}

/** A design, solved on each of its sizes with values as long as the standards ask room for. */
export interface Inspected {
  design: Design;
  standard: OfficeStandard;
  layouts: readonly SheetLayout[];
}

/** A verdict by whether something holds; nothing applies where there is nothing to look at. */
export const verdictOf = (holds: boolean | undefined): ConformityLine['verdict'] =>
  holds === undefined ? 'does not apply' : holds ? 'met' : 'not met';

/** Lengths under this are none, in mm. */
export const CLOSE = 0.05;
