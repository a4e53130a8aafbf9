import type { Told } from '../../../testing/recordedCanvas';
import { recordedCanvas } from '../../../testing/recordedCanvas';
import type { EdgePlaces } from './edgePlaces';
import type { EdgeColours } from './paintEdge';
import { paintBeside, paintEdge } from './paintEdge';

const colours: EdgeColours = {
  leader: 'grey',
  ground: 'white',
  line: 'silver',
  text: 'black',
  accent: 'teal',
  onAccent: 'ivory',
};
const places: EdgePlaces = {
  rows: true,
  edge: 6,
  corner: { x: 100, y: 0 },
  far: { x: 300, y: 90 },
  limits: [0, 30, 60, 90],
  labels: [{ x: 6, y: 4 }, undefined, { x: 6, y: 64 }],
};

/** What a canvas was told, and how it was set when it was told to fill. */
function filled(told: Told): { what: string; alpha: unknown; style: unknown }[] {
  const now = new Map<string, unknown>();
  return told.flatMap(([name, ...values]) => {
    if (name.startsWith('set ')) now.set(name.slice(4), values[0]);
    const what = name === 'fillText' ? String(values[0]) : name;
    return name === 'fill' || name === 'fillText'
      ? [{ what, alpha: now.get('globalAlpha'), style: now.get('fillStyle') }]
      : [];
  });
}

test('every divider has a handle, the held one full; labels without room are left out, the selected one stands out', () => {
  const { context, told } = recordedCanvas();
  paintEdge(context, { places, sizes: ['30', '31', '32'], selectedTrack: 2, held: 1 }, colours);
  expect(filled(told)).toEqual([
    { what: 'fill', alpha: 0.55, style: 'teal' },
    { what: 'fill', alpha: 1, style: 'teal' },
    { what: 'fill', alpha: 1, style: 'white' },
    { what: '30', alpha: 1, style: 'black' },
    { what: 'fill', alpha: 1, style: 'teal' },
    { what: '32', alpha: 1, style: 'ivory' },
  ]);
});

describe('what is said beside the pointer', () => {
  /** Where its ground and its words are painted, in a window of 300 by 200; the recorded canvas has letters six pixels wide. */
  function said(x: number, y: number): { ground: unknown[]; words: unknown[] } {
    const { context, told } = recordedCanvas();
    const lines = [[{ words: '42', strong: true }, { words: ' | 40' }], [{ words: 'equal halves' }]];
    paintBeside(context, { x, y }, { width: 300, height: 200 }, lines, colours);
    const [, ...ground] = told.find(([name]) => name === 'roundRect')!;
    const words = told.filter(([name]) => name === 'fillText').map(([, text, left]) => [text, left]);
    return { ground: ground.slice(0, 4), words };
  }

  test('stands below it on the right, as wide as its longest line', () => {
    expect(said(50, 60)).toEqual({
      ground: [66, 74, 12 * 6 + 16, 42],
      words: [
        ['42', 74],
        [' | 40', 86],
        ['equal halves', 74],
      ],
    });
  });

  test('stays in the window at its lower right end', () => {
    expect(said(290, 190).ground).toEqual([290 - 16 - 88, 190 - 14 - 42, 88, 42]);
  });
});
