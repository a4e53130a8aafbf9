import type { WorkingUnit } from '@mendrel/core';
import { MM_PER } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfText } from './pairs';
import type { Writing } from './startEntity';
import { startEntity } from './startEntity';

/** A page of the file: paper at true size with a block on it. Sizes in drawing units. */
export interface DxfLayout {
  name: string;
  /** What the paper is called. */
  paper: string;
  width: number;
  height: number;
  /** The block that stands on it. */
  block?: string;
}

/** A layout with the handles under which others know it. */
export interface PlacedLayout extends DxfLayout {
  /** Handle of the layout itself, and of the block record that holds what stands on it. */
  handle: string;
  owner: string;
  /** Name of that block: the page that is shown first has the plain one. */
  blockName: string;
}

/** The page itself as a view, which every page has before any view of the model. */
export function writePageView(out: Pairs, { owner, width, height }: PlacedLayout, on: Writing): void {
  startEntity(out, 'VIEWPORT', owner, '0', on).add(100, 'AcDbViewport');
  out
    .point(10, width / 2, height / 2, 0)
    .add(40, width)
    .add(41, height);
  out.add(68, 1).add(69, 1);
  out
    .point(12, width / 2, height / 2)
    .point(13, 0, 0)
    .point(14, 10, 10)
    .point(15, 10, 10);
  out.point(16, 0, 0, 1).point(17, 0, 0, 0);
  out.add(42, 50).add(43, 0).add(44, 0).add(45, height).add(50, 0).add(51, 0).add(72, 1000).add(90, 0);
}

/** The model space and the pages as the objects that programs list them by. */
export function writeLayouts(
  out: Pairs,
  {
    model,
    pages,
    unit,
    dictionary,
  }: { model: PlacedLayout; pages: readonly PlacedLayout[]; unit: WorkingUnit; dictionary: string },
): void {
  [model, ...pages].forEach((layout, i) => {
    out.add(0, 'LAYOUT').add(5, layout.handle).add(330, dictionary).add(100, 'AcDbPlotSettings');
    const mm = unit === 'in' ? MM_PER.in : 1;
    const page = i > 0;
    out.add(1, '').add(2, 'none_device').add(4, dxfText(layout.paper)).add(6, '');
    // Margins of the paper are part of the title block; the paper is always told in millimetres.
    for (const code of [40, 41, 42, 43]) out.add(code, 0);
    out.add(44, layout.width * mm).add(45, layout.height * mm);
    for (const code of [46, 47, 48, 49, 140, 141]) out.add(code, 0);
    // One to one: a unit of the page is a unit of the paper.
    out
      .add(142, 1)
      .add(143, 1)
      .add(70, page ? PAGE : MODEL)
      .add(72, unit === 'in' ? 0 : 1)
      .add(73, 0)
      .add(74, 5)
      .add(7, '');
    out.add(75, 16).add(76, 0).add(77, 2).add(78, 300).add(147, 1).add(148, 0).add(149, 0);
    out.add(100, 'AcDbLayout').add(1, dxfText(layout.name)).add(70, 1).add(71, i);
    out.point(10, 0, 0).point(11, layout.width, layout.height).point(12, 0, 0, 0);
    out.point(14, 0, 0, 0).point(15, layout.width, layout.height, 0).add(146, 0);
    out.point(13, 0, 0, 0).point(16, 1, 0, 0).point(17, 0, 1, 0).add(76, 0).add(330, layout.owner);
  });
}

/** Settings of printing as bits: standard scale, pen settings of the file, line weights; and 1024 for the model. */
const PAGE = 16 + 32 + 128 + 512;
const MODEL = PAGE + 1024;
