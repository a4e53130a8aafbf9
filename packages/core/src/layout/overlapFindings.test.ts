import type { Design, Panel } from '../design';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { solveDesign } from './solve';

const solve = (design: Design, size = 'ISO A1') =>
  solveDesign(design, { size, values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
const said = (design: Design, size = 'ISO A1') =>
  solve(design, size).findings.map(({ kind, weight, message }) => ({ kind, weight, message }));

const strip = designWith(cell('strip'), { dock: 'right', width: '90 mm' });
const floating: Panel = {
  ...strip.panels[0]!,
  id: 'border',
  name: 'Border',
  dock: 'floating',
  width: '500 mm',
  height: '200 mm',
  root: cell('border'),
};

test('a panel that clears the strip on one size and stands on it on another is an error there', () => {
  const design = { ...strip, panels: [...strip.panels, floating] };
  expect(said(design, 'ISO A1')).toEqual([]);
  expect(said(design, 'ISO A3')).toEqual([
    { kind: 'room', weight: 'error', message: 'Border reaches 100.0 mm beyond the edge of ISO A3' },
    { kind: 'overlap', weight: 'error', message: 'Panel and Border overlap by 90.0 mm on ISO A3' },
  ]);
});

test('what lies over the sheet claims no room: no conflict with panels, none of the drawing area taken', () => {
  const border: Panel = { ...floating, width: 'frame.width', height: 'frame.height', overlay: true };
  for (const dock of ['floating', 'lower-right', 'bottom'] as const) {
    const layout = solve({ ...strip, panels: [...strip.panels, { ...border, dock }] });
    expect(layout.findings).toEqual([]);
    expect(layout.claimed).toEqual([]);
    expect(layout.drawingArea).toEqual(solve(strip).drawingArea);
  }
});

test('a floating panel as large as the frame asks nothing of what other panels leave', () => {
  const over = { ...floating, width: 'frame.width', height: 'frame.height' };
  expect(said({ ...strip, panels: [...strip.panels, over] }).map(({ kind }) => kind)).toEqual(['overlap']);
});

test('texts at both sides of one cell that run into each other are an error, however they are turned', () => {
  const texts = [field('a', 'Ferry terminal building'), field('b', 'North elevation', { horizontal: 'right' })];
  const root = (rotation: 0 | 90) =>
    divided(
      'root',
      'rows',
      [{ share: 1 }, { fixed: '12 mm' }],
      [
        cell('rest'),
        cell(
          'row',
          texts.map((text) => ({ ...text, rotation })),
        ),
      ],
    );
  const narrow = designWith(root(0), { dock: 'right', width: '40 mm' });
  expect(said(narrow).map(({ message }) => message)).toContainEqual(
    expect.stringMatching(/^“Ferry terminal building” and “North elevation” overlap by [\d.]+ mm in row$/),
  );
  expect(said(designWith(root(0), { dock: 'right', width: '90 mm' })).map(({ kind }) => kind)).not.toContain('overlap');
  expect(said(designWith(root(90), { dock: 'right', width: '40 mm' })).map(({ kind }) => kind)).toContain('overlap');
});

// ISO 5457 (from memory): the zone marks take 5 mm outside the frame; trimming marks lie in the corners, clear of them.
test('zone marks need their band outside the frame', () => {
  const narrow = (edge: string): Design => ({
    ...strip,
    frame: {
      ...strip.frame,
      margins: { left: '20 mm', right: '10 mm', top: '10 mm', bottom: edge },
      zones: true,
      trimmingMarks: true,
    },
  });
  expect(said(narrow('10 mm'))).toEqual([]);
  expect(said(narrow('5 mm'))).toEqual([]);
  expect(said(narrow('4 mm')).map(({ message }) => message)).toEqual(['the zone marks run off ISO A1 at the bottom']);
});

test('what stands crowded in one cell, as a hostile drawing has it, is compared up to a limit', () => {
  const texts = Array.from({ length: 150 }, (_, i) => field(`t${i}`, 'words'));
  const crowded = designWith(cell('crowd', texts), { dock: 'right', width: '90 mm' });
  const overlapping = solve(crowded).findings.filter(({ kind }) => kind === 'overlap');
  // 60 of them with one another at most.
  expect(overlapping.length).toBeLessThanOrEqual((60 * 59) / 2);
});
