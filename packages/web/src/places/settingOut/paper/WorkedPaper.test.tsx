import { act, fireEvent, screen } from '@testing-library/react';
import { STARTING_STANDARD } from '@mendrel/core';
import { useAppSelector } from '../../../app/store';
import { evenTypefaces, measuredWith } from '../../../testing/evenTypefaces';
import type { Told } from '../../../testing/recordedCanvas';
import { recordedCanvas } from '../../../testing/recordedCanvas';
import { framesByHand, shown } from '../../../testing/shown';
import { opened } from '../opened';
import { selectedCell } from '../settingOutSlice';
import { plainStrip } from '../../../testing/plainStrip';
import { WorkedPaper } from './WorkedPaper';

const typefaces = evenTypefaces();
beforeEach(() => measuredWith(typefaces));

const TRIED = { values: { 'project.name': 'Quay', 'sheet.title': 'Plan' }, tables: {} };
let painted: Told = [];

beforeAll(() => {
  Element.prototype.setPointerCapture = () => undefined;
  // A window of 700 by 500 pixels.
  globalThis.ResizeObserver = class {
    constructor(private readonly call: ResizeObserverCallback) {}
    observe(): void {
      this.call([{ contentRect: { width: 700, height: 500 } } as ResizeObserverEntry], this);
    }
    unobserve(): void {}
    disconnect(): void {}
  };
  // Each frame is told anew, beginning with the canvas that is cleared or sized.
  HTMLCanvasElement.prototype.getContext = (() => {
    const { context, told } = recordedCanvas();
    painted = told;
    return context;
  }) as unknown as typeof HTMLCanvasElement.prototype.getContext;
});
afterEach(() => vi.restoreAllMocks());

function Paper() {
  const design = useAppSelector((root) => root.settingOut.present);
  const selection = useAppSelector((root) => root.settingOut.selection);
  return design ? (
    <WorkedPaper
      design={design}
      tried={TRIED}
      standard={STARTING_STANDARD}
      size="ISO A1"
      scope="all"
      selection={selection}
      onPick={() => undefined}
      onWindow={() => undefined}
    />
  ) : null;
}

function paper(design = plainStrip()) {
  const frames = framesByHand();
  const found = shown(<Paper />, [opened({ id: 'one', version: 1, design }), selectedCell('strip-1')]);
  const state = () => found.store.getState().settingOut;
  const divider = screen.getByRole('separator', { name: 'Divider after row 2' });
  const drag = (by: number): void => {
    fireEvent(divider, new MouseEvent('pointermove', { clientX: 300, clientY: 200 + by, altKey: true, bubbles: true }));
    act(() => frames.next());
  };
  fireEvent(divider, new MouseEvent('pointerdown', { clientX: 300, clientY: 200, bubbles: true }));
  const letGo = (): boolean => fireEvent(divider, new MouseEvent('pointerup', { bubbles: true }));
  const rows = () => state().present?.panels[0]?.root.division?.rows;
  return { ...found, drag, letGo, divider, state, rows };
}
const words = (): unknown[] => painted.filter(([name]) => name === 'fillText').map(([, text]) => text);
const size = (row: number): HTMLElement => screen.getByRole('textbox', { name: `Size of row ${row}` });

test('a dragged divider is painted with its lengths, once a frame, over elements that stay as they were', () => {
  const { drag, rows } = paper();
  expect(size(2)).toHaveProperty('value', '34');
  drag(3);
  // The words of the sheet and, after them, the sizes beside it and what the divider comes to.
  expect(words()).toEqual(expect.arrayContaining(['Project', 'Quay', 'Plan']));
  const first = words();
  drag(9);
  expect(words()).not.toEqual(first);
  const lengths = words()
    .slice(-5, -1)
    .map((each) => String(each).trim());
  // Two fixed rows: what the one gains the other loses.
  expect(Number(lengths[0]) + Number(lengths[2])).toBeCloseTo(68, 6);
  expect(Number(lengths[0])).toBeGreaterThan(34);
  expect(words().at(-1)).toBe('for all sizes');
  expect(size(2)).toHaveProperty('value', '34');
  expect(rows()).toEqual(plainStrip().panels[0]?.root.division?.rows);
});

test('what is let go of is one step of the history, and the elements show it', () => {
  const { drag, letGo, state, rows } = paper();
  for (const by of [2, 5, 9]) drag(by);
  letGo();
  expect(state()).toMatchObject({ past: [plainStrip()], preview: undefined });
  const row = rows()?.[1];
  const length = row && 'fixed' in row ? row.fixed : '';
  expect(length).toMatch(/^3[5-9]\.\d+ mm$|^[4-6]\d(\.\d+)? mm$/);
  expect(`${(size(2) as HTMLInputElement).value} mm`).toBe(length);
  expect(document.querySelectorAll('[role="application"] > canvas')).toHaveLength(0);
});

test('of a grid, the sizes of both axes are painted in place of the elements', () => {
  const design = plainStrip();
  const [panel] = design.panels;
  const { division } = panel!.root;
  const children = division!.children.map((child) => ({ ...child, columnSpan: 2 }));
  const root = { ...panel!.root, division: { ...division!, columns: [{ share: 1 }, { share: 1 }], children } };
  const { drag, letGo } = paper({ ...design, panels: [{ ...panel!, root }] });
  const covered = (): number => document.querySelectorAll('[data-covered="true"]').length;
  expect(covered()).toBe(0);
  drag(4);
  expect(covered()).toBe(2);
  // Columns of 40 mm, as far as there is room for their sizes; and rows.
  expect(words()).toEqual(expect.arrayContaining(['40', '16', '28']));
  letGo();
  expect(covered()).toBe(0);
});

test('Escape gives it up and leaves everything as it was', () => {
  const { drag, divider, state } = paper();
  drag(9);
  expect(state().preview).toBeDefined();
  fireEvent.keyDown(divider, { key: 'Escape' });
  expect(state()).toMatchObject({ present: plainStrip(), past: [], preview: undefined });
  expect(size(2)).toHaveProperty('value', '34');
});

test('a formula that cannot be solved is told, and the paper keeps what it was', () => {
  const { store } = shown(<Paper />, [
    opened({ id: 'one', version: 1, design: plainStrip() }),
    selectedCell('strip-1'),
  ]);
  const broken = { ...plainStrip(), dimensions: [{ name: 'strip', formula: 'strip + 1 mm' }] };
  act(() => void store.dispatch({ type: 'settingOut/edited', payload: broken }));
  expect(screen.getByRole('alert').textContent).toContain('This cannot be solved');
  expect(screen.getByRole('alert').textContent).toContain('The paper shows it as it was last.');
  expect(size(2)).toHaveProperty('value', '34');
});
