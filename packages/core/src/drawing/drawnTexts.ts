import type { TextItem } from './drawing';

/** A text as it is drawn: its parts, where letters come from another typeface, or itself. */
export function drawnTexts(item: TextItem): readonly TextItem[] {
  const { runs, ...whole } = item;
  if (!runs) return [item];
  const turn = (item.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return runs.map(({ text, typeface, along, width }) => ({
    ...whole,
    text,
    typeface,
    width,
    at: { x: item.at.x + along * c, y: item.at.y + along * s },
  }));
}
