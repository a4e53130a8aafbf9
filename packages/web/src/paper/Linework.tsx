import { memo, useMemo } from 'react';
import type { Drawing, Item } from '@mendrel/core';
import { emPerCapital } from '@mendrel/core';
import { svgMarkup, svgPicture } from '@mendrel/formats/svg';
import { useTypefaces } from '../app/typefaces';

/** The key of what belongs to no cell. */
const LOOSE = '';

/**
 * The items of the title block by their cells, in the order in which the cells are first drawn. Outlines stand apart from
 * the lines in them: drawn anew they would have everything inside of them painted anew.
 */
function byCell(items: readonly Item[]): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const outline = item.kind === 'stroke' && item.closed;
    const key = `${item.cell ?? LOOSE}${outline ? ' outline' : ''}`;
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}

/**
 * The items of a drawing as SVG, written by the same writer as SVG files; it escapes what it writes. The frame and each
 * cell are kept apart, so that while a title block is being edited only those are drawn anew that changed. Grounds come
 * first, under the lines and lettering of all cells.
 */
export const Linework = memo(function Linework({ drawing, ink = 'currentColor' }: { drawing: Drawing; ink?: string }) {
  const typefaces = useTypefaces();
  const groups = useMemo(() => {
    const options = { emPerCapital: emPerCapital(typefaces), ink };
    const ofFrame = (item: Item): boolean => item.part === 'frame';
    const ground = (item: Item): boolean => item.kind === 'fill' && item.colour !== undefined;
    const rest = drawing.items.filter((item) => !ofFrame(item));
    return [
      { key: 'frame', svg: svgPicture(drawing.items.filter(ofFrame), drawing.height, options) },
      { key: 'grounds', svg: svgMarkup(rest.filter(ground), drawing.height, options) },
      ...[...byCell(rest.filter((item) => !ground(item)))].map(([cell, items]) => ({
        key: `cell ${cell}`,
        svg: svgMarkup(items, drawing.height, options),
      })),
    ];
  }, [drawing, typefaces, ink]);
  return groups.map(({ key, svg }) => <Markup key={key} svg={svg} />);
});

/** SVG text in the document; equal text is left alone. */
const Markup = memo(function Markup({ svg }: { svg: string }) {
  return <g dangerouslySetInnerHTML={{ __html: svg }} />;
});
