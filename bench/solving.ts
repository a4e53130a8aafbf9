import Yoga, { Direction, FlexDirection } from 'yoga-layout';
import type { Node } from 'yoga-layout';
import { composeSheet, SHEET_SIZES, solveDesign, STARTING_STANDARD, tryOnValues } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { FRAME_MS, inTurns, report, wait } from './measure';
import { COLUMNS, stripDesign } from './stripDesign';

const ROWS = 10;

/** The same tree in yoga-layout, without text: made, laid out, read and given back. */
function yogaTree(): number {
  const root = Yoga.Node.create();
  root.setWidth(180);
  root.setHeight(574);
  root.setFlexDirection(FlexDirection.Column);
  const nodes: Node[] = [];
  for (let r = 0; r < ROWS; r++) {
    const line = Yoga.Node.create();
    line.setFlexDirection(FlexDirection.Row);
    if (r % 3 === 0) {
      line.setFlexGrow(1);
      line.setFlexBasis(0);
    } else line.setHeight(16);
    root.insertChild(line, r);
    nodes.push(line);
    for (let c = 0; c < COLUMNS; c++) {
      const cell = Yoga.Node.create();
      if (c === 0) cell.setWidth(60);
      else {
        cell.setFlexGrow(c);
        cell.setFlexBasis(0);
      }
      line.insertChild(cell, c);
      nodes.push(cell);
    }
  }
  root.calculateLayout(undefined, undefined, Direction.LTR);
  let sum = 0;
  for (const node of nodes) {
    const { left, top, width, height } = node.getComputedLayout();
    sum += left + top + width + height;
  }
  root.freeRecursive();
  return sum;
}

export function benchSolving(): void {
  const design = stripDesign(ROWS, ['ISO A1']);
  const typefaces = readTypefaces(shippedFontFiles());
  const on = { size: 'ISO A1', values: tryOnValues('longest'), standard: STARTING_STANDARD, typefaces };
  report(
    'Solving a sheet of 41 cells with 30 texts',
    'yoga-layout for the same tree without text',
    inTurns(
      () => void solveDesign(design, on),
      () => void yogaTree(),
      200,
      10,
    ),
  );
}

/** Twelve sizes of 61 cells with 50 texts, solved and composed: what a change in setting-out costs the size wall. */
export function benchTwelveSizes(): void {
  const sizes = SHEET_SIZES.filter((size) => Math.min(size.width, size.height) > 250).slice(0, 12);
  const design = stripDesign(
    15,
    sizes.map((size) => size.name),
    5,
  );
  const on = {
    values: tryOnValues('typical'),
    standard: STARTING_STANDARD,
    typefaces: readTypefaces(shippedFontFiles()),
  };
  report(
    `${sizes.length} sizes of 61 cells with 50 texts, solved and composed`,
    'one frame at 60 a second',
    inTurns(
      () => {
        for (const { size } of design.sizes) composeSheet(design, solveDesign(design, { size, ...on }), on);
      },
      () => wait(FRAME_MS),
      100,
    ),
  );
}

/** What a cell costs in a design of 2,001 cells, against one in a design of 125. */
export function benchGrowth(): void {
  const [small, large] = [stripDesign(31, ['ISO A0']), stripDesign(500, ['ISO A0'])];
  const on = {
    size: 'ISO A0',
    values: tryOnValues('typical'),
    standard: STARTING_STANDARD,
    typefaces: readTypefaces(shippedFontFiles()),
  };
  report(
    'Solving and composing one design of 2,001 cells',
    '16 designs of 125 cells, 2,000 in all',
    inTurns(
      () => void composeSheet(large, solveDesign(large, on), on),
      () => {
        for (let i = 0; i < 16; i++) composeSheet(small, solveDesign(small, on), on);
      },
      40,
    ),
  );
}
