import { composeSheet } from '../compose';
import type { ImageItem } from '../drawing';
import { solveDesign } from '../layout';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { picturesOf } from './cellPicture';

/** A cell of 60 x 40 mm at the lower right of the frame of A1, with an image that stands turned in it, off its middle. */
const FACE = { x: 831 - 60, y: 10, width: 60, height: 40 };
const turnedBy = (turn: ImageItem['turn']): ImageItem => ({
  kind: 'image',
  part: 'block',
  layer: 'PICTURES',
  name: 'Mark',
  type: 'png',
  file: { data: 'iVBORw0KGgoAAAANSUhEUgAAAAQ=' },
  pixels: { columns: 4, rows: 2 },
  x: FACE.x + 8,
  y: FACE.y + 6,
  width: turn === 180 ? 20 : 10,
  height: turn === 180 ? 10 : 20,
  ...(turn ? { turn } : {}),
});

test.each([90, 180, 270] as const)('an image that stands turned by %i degrees stands so in the design', (turn) => {
  const image = turnedBy(turn);
  const found = { face: FACE, texts: [], linework: [image] };
  const contents = picturesOf(found, () => 'picture-1', undefined);
  expect(contents).toMatchObject([{ kind: 'picture', rotation: turn, width: 20, height: 10 }]);
  const design = designWith(cell('c', contents), { dock: 'lower-right', width: '60 mm', height: '40 mm' });
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values: {} };
  const layout = solveDesign(design, { size: 'ISO A1', ...on });
  const [drawn] = composeSheet(design, layout, on).items.filter((item) => item.kind === 'image');
  expect(drawn).toMatchObject({ turn });
  for (const key of ['x', 'y', 'width', 'height'] as const) expect(drawn?.[key]).toBeCloseTo(image[key], 1);
});
