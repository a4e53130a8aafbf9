import type { Design, OfficeStandard, SheetLayout } from '@mendrel/core';

/** What the details of a cell, its panel and its track are given. */
export interface DetailsProps {
  design: Design;
  layout: SheetLayout | undefined;
  standard: OfficeStandard;
  selected: string;
  /** Applies an edit; what it refuses is shown to the person. */
  onEdit: (edit: (design: Design) => Design) => void;
}
