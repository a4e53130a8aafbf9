import type { Design } from '../design';
import type { PartMark, PlacedView, View } from '../placement';
import { showsPartOf } from '../placement';
import type { SheetRecord } from '../register';
import { outlineRing } from '../sourceDrawing';

/** Sheets of a project, among which parts that are drawn larger are looked for. */
export interface Among {
  sheets: readonly SheetRecord[];
  designOf: (index: number) => Design;
}

/**
 * Which sheets hold the large-scale parts of what views of a sheet show. Where no view is such a part nothing is looked for.
 * @returns for a sheet the places of those sheets
 */
export function sheetsWithParts(sheets: readonly SheetRecord[]): (sheet: SheetRecord) => number[] {
  const byWhole = new Map<string, { place: number; part: View }[]>();
  sheets.forEach(({ views }, place) => {
    for (const part of views) {
      if (part.partOf === undefined || part.module === null) continue;
      const known = byWhole.get(part.partOf);
      if (known) known.push({ place, part });
      else byWhole.set(part.partOf, [{ place, part }]);
    }
  });
  if (byWhole.size === 0) return () => [];
  return (sheet) => {
    const found = new Set<number>();
    for (const whole of sheet.views) {
      if (whole.module === null) continue;
      for (const { place, part } of byWhole.get(whole.id) ?? [])
        if (sheets[place]!.number !== sheet.number && showsPartOf(part, whole)) found.add(place);
    }
    return [...found].sort((a, b) => a - b);
  };
}

/** Views with the marks of their parts, on the same sheet and on others. */
export function withPartMarks(
  placed: readonly PlacedView[],
  others: readonly { number: string; placed: readonly PlacedView[] }[],
): PlacedView[] {
  return placed.map((whole) => {
    const parts = [{ number: '', placed }, ...others].flatMap((sheet) =>
      sheet.placed.flatMap(({ view, number }): PartMark[] => {
        const { drawing } = view;
        if (!drawing || view.partOf !== whole.view.id || !showsPartOf(view, whole.view)) return [];
        const window = {
          x: drawing.x,
          y: drawing.y,
          width: view.realWidth / drawing.unit,
          height: view.realHeight / drawing.unit,
        };
        return [
          {
            ring: outlineRing(window, drawing.outline),
            words: sheet.number === '' ? number : `${number}/${sheet.number}`,
          },
        ];
      }),
    );
    return parts.length === 0 ? whole : { ...whole, parts };
  });
}
