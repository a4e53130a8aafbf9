import { inWords } from '../check';
import type { Design } from '../design';
import { frameOnAllDevices, marginsInside, solveDesign } from '../layout';
import type { View } from '../placement';
import { sizesOf, STARTING_STANDARD, unprintableOn } from '../standard';
import { cell, designWith } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { drawSheet } from './drawSheet';
import { sheetSources } from './sheetSource';

const strip = designWith(cell('strip'), { dock: 'right', width: '90 mm' });
const own = (margin: string): Design => ({
  ...strip,
  frame: { ...strip.frame, margins: { left: '20 mm', right: margin, top: margin, bottom: margin } },
});

function told(design: Design, device: string | undefined, size = 'ISO A1'): string[] {
  const record = { number: 'A-101', title: '', kind: 'plan', size, values: {}, views: [] };
  const of = {
    standard: STARTING_STANDARD,
    office: {},
    project: {},
    design,
    ...(device === undefined ? {} : { device }),
  };
  const result = drawSheet(sheetSources(of, [record])[0]!, TEST_TYPEFACES);
  if ('problem' in result) throw new Error(result.problem.message);
  return result.findings.filter(({ kind }) => kind === 'device').map(inWords);
}

test('a frame outside what the device of the project prints is an error; without a device nothing is told', () => {
  // The frame of ISO 5457 (from memory) has 10 mm on the right; the plan copier leaves 12 mm blank there.
  expect(told(strip, undefined)).toEqual([]);
  expect(told(strip, 'roll-plotter')).toEqual([]);
  expect(told(strip, 'plan-copier')).toEqual([
    'the frame falls 2.0 mm outside what Plan copier prints (right). Fix: widen the margins, or print ISO A1 on another device.',
  ]);
});

test('a device that takes no sheet of the size, or is gone from the standard, is told', () => {
  expect(told(strip, 'office-printer')[0]).toBe(
    'Office printer A3, the device of the project, takes no sheet of ISO A1. Fix: choose another device under Data, give it this paper in the standard, or give the sheet another size.',
  );
  expect(told(strip, 'sold')[0]).toMatch(/^the device of the project is not in the standard/);
});

test('views keep clear of an edge of the drawing area that the device does not print', () => {
  // The frame reaches 2 mm into what the plan copier leaves blank at the right; a view in the last module stands there once it is moved.
  const wide = designWith(cell('strip'), { dock: 'left', width: '90 mm' });
  const view: View = {
    id: 'plan',
    name: 'Plan',
    realWidth: 17_000,
    realHeight: 10_000,
    scale: '1:100',
    module: 'A4',
  };
  const grid = (device: string | undefined): string[] => {
    const record = { number: 'A-101', title: '', kind: 'plan', size: 'ISO A1', values: {}, views: [] };
    const of = { standard: STARTING_STANDARD, office: {}, project: {}, design: wide, ...(device ? { device } : {}) };
    const result = drawSheet(sheetSources(of, [record])[0]!, TEST_TYPEFACES);
    return 'problem' in result ? [] : result.grid.claimed.map(({ name }) => name);
  };
  expect(grid(undefined)).toEqual([]);
  expect(grid('roll-plotter')).toEqual([]);
  expect(grid('plan-copier')).toEqual(['the edge that Plan copier does not print']);
  const messages = (device: string): string[] => {
    const moved = { ...view, shift: { x: 5, y: 0 } };
    const record = { number: 'A-101', title: '', kind: 'plan', size: 'ISO A1', values: {}, views: [moved] };
    const of = { standard: STARTING_STANDARD, office: {}, project: {}, design: wide, device };
    const result = drawSheet(sheetSources(of, [record])[0]!, TEST_TYPEFACES);
    return 'problem' in result
      ? []
      : result.findings.flatMap(({ kind, message }) => (kind === 'view' ? [message] : []));
  };
  expect(messages('plan-copier')).toContain('Plan runs into the edge that Plan copier does not print');
  expect(messages('roll-plotter')).not.toContain('Plan runs into the edge that Plan copier does not print');
});

test('own margins are checked against all devices that take the size', () => {
  const outside = (margin: string): string[] => {
    const on = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
    return frameOnAllDevices(solveDesign(own(margin), on), STARTING_STANDARD).map(({ message }) => message);
  };
  expect(outside('4 mm')).toEqual([
    'the frame falls 8.0 mm outside what Plan copier prints (right, top, bottom)',
    'the frame falls 1.0 mm outside what Roll plotter prints (right)',
  ]);
  expect(outside('12 mm')).toEqual([]);
});

test('margins that are set from a device lie inside what it prints, on every size that it takes', () => {
  const byId = (id: string) => STARTING_STANDARD.devices.find((device) => device.id === id)!;
  expect(marginsInside(byId('plan-copier'), strip, STARTING_STANDARD)).toEqual({
    left: 20,
    right: 12,
    top: 5,
    bottom: 5,
  });
  // A3 alone goes through the office printer; 4.2 mm is 5 mm in whole millimetres.
  expect(marginsInside(byId('office-printer'), strip, STARTING_STANDARD)).toEqual({
    left: 20,
    right: 5,
    top: 5,
    bottom: 5,
  });
  const large = { ...strip, sizes: [{ size: 'ISO A0', orientation: 'landscape' as const }] };
  expect(marginsInside(byId('office-printer'), large, STARTING_STANDARD)).toBeUndefined();
});

test('a sheet that is turned has the margins of its paper turned with it', () => {
  const copier = STARTING_STANDARD.devices.find(({ id }) => id === 'plan-copier')!;
  const a1 = sizesOf(STARTING_STANDARD).find(({ name }) => name === 'ISO A1')!;
  const upright = { ...a1, width: a1.height, height: a1.width };
  expect(unprintableOn(copier, upright, a1)?.margins).toEqual({ left: 5, right: 5, top: 12, bottom: 5 });
  // Along a roll the lead stays at the ends of the piece, whichever way the sheet lies.
  const roll = STARTING_STANDARD.devices.find(({ id }) => id === 'roll-plotter')!;
  expect(unprintableOn(roll, upright, a1)).toEqual({
    paper: 'roll 841 mm',
    margins: { left: 0, right: 0, top: 5, bottom: 5 },
  });
});
