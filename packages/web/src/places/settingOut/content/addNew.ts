import type { Content, Design, OfficeStandard } from '@mendrel/core';
import { addContent, idMaker } from '@mendrel/core';
import type { MakingFor } from './editing';

/** A design with a new content in a cell. */
export const addNew = (
  design: Design,
  cell: string,
  make: (on: MakingFor) => Content,
  standard: OfficeStandard,
): Design => addContent(design, cell, make({ id: idMaker(design)('content'), unit: design.unit, standard }));
