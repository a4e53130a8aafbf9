import { expect, test } from './test';
import { sizeTracks } from '@mendrel/core';
import type { SizedTrack } from '@mendrel/core';

/** A small generator with a seed, so that the cases are the same in every run. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

interface Case {
  tracks: SizedTrack[];
  css: string;
  room: number;
}

function makeCase(next: () => number): Case {
  const whole = (from: number, to: number): number => Math.floor(from + next() * (to - from + 1));
  const tracks: SizedTrack[] = [];
  const css: string[] = [];
  for (let i = whole(1, 8); i > 0; i--) {
    const kind = next();
    if (kind < 0.4) {
      const length = whole(5, 120);
      tracks.push({ kind: 'fixed', length });
      css.push(`${length}px`);
    } else {
      // Shares of at least one: below a sum of one, CSS leaves room free where a title block has to be filled.
      const share = whole(1, 5);
      const min = next() < 0.5 ? 0 : whole(0, 90);
      tracks.push({ kind: 'share', share, min, max: Infinity });
      css.push(`minmax(${min}px, ${share}fr)`);
    }
  }
  return { tracks, css: css.join(' '), room: whole(50, 1200) };
}

// Reference: Chromium's own CSS grid sizes fixed, fr and minmax tracks (CSS Grid Layout Module, track sizing).
test('tracks come out as in a CSS grid', async ({ page }) => {
  const next = random(20310402);
  const cases = Array.from({ length: 400 }, () => makeCase(next));
  await page.setContent('<div id="grid" style="display:grid"></div>');
  const sized = await page.evaluate(
    (all) => {
      const grid = document.getElementById('grid')!;
      return all.map(({ css, room }) => {
        grid.style.width = `${room}px`;
        grid.style.gridTemplateColumns = css;
        return getComputedStyle(grid).gridTemplateColumns.split(' ').map(parseFloat);
      });
    },
    cases.map(({ css, room }) => ({ css, room })),
  );
  cases.forEach(({ tracks, css, room }, i) => {
    const { lengths } = sizeTracks(tracks, room);
    lengths.forEach((length, t) => {
      // Chromium lays out in sixty-fourths of a pixel.
      expect(Math.abs(length - sized[i]![t]!), `${css} in ${room}`).toBeLessThan(0.05);
    });
  });
});
