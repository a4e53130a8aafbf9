import { memo, useMemo } from 'react';
import type { Drawing, Item, Point } from '@mendrel/core';
import { emPerCapital } from '@mendrel/core';
import { svgMarkup, svgPicture } from '@mendrel/formats/svg';
import { assetAddress } from '../app/assetAddress';
import { useTypefaces } from '../app/typefaces';
import { usePieceAddress } from './heavyPictures';

interface Props {
  drawing: Drawing;
  ink?: string;
  /** It stands still, and is looked at so closely that bitmaps would be coarse. */
  close?: boolean;
}

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

/** Where an item begins; of a cell that moves as it is, every item keeps its distance to it. */
function beginning(item: Item | undefined): Point | undefined {
  switch (item?.kind) {
    case 'stroke':
      return { x: item.points[0] ?? 0, y: item.points[1] ?? 0 };
    case 'fill':
      return { x: item.rings[0]?.[0] ?? 0, y: item.rings[0]?.[1] ?? 0 };
    case 'arc':
      return item.centre;
    case 'text':
      return item.at;
    case 'image':
    case 'piece':
      return item;
    case undefined:
      return undefined;
  }
}

/**
 * The items of a drawing as SVG, written by the same writer as SVG files; it escapes what it writes. The frame and each
 * cell are kept apart, and each cell is written from where it begins, so that while a title block is being edited only those
 * are written anew that changed, and those that merely move are moved. Grounds come first, under the lines and lettering
 * of all cells.
 */
export const Linework = memo(function Linework({ drawing, ink = 'currentColor', close = false }: Props) {
  const typefaces = useTypefaces();
  const { address, version } = usePieceAddress(drawing, close);
  const groups = useMemo(() => {
    // A bitmap that has come since has an address of its own.
    void version;
    const options = { emPerCapital: emPerCapital(typefaces), ink, assetAddress, pieceAddress: address };
    const ofFrame = (item: Item): boolean => item.part === 'frame';
    const ground = (item: Item): boolean => item.kind === 'fill' && item.colour !== undefined;
    const rest = drawing.items.filter((item) => !ofFrame(item) && !item.under);
    return [
      {
        key: 'under',
        at: undefined,
        svg: svgMarkup(
          drawing.items.filter(({ under }) => under),
          drawing.height,
          options,
        ),
      },
      { key: 'frame', at: undefined, svg: svgPicture(drawing.items.filter(ofFrame), drawing.height, options) },
      { key: 'grounds', at: undefined, svg: svgMarkup(rest.filter(ground), drawing.height, options) },
      ...[...byCell(rest.filter((item) => !ground(item)))].map(([cell, items]) => {
        const origin = beginning(items[0]) ?? { x: 0, y: 0 };
        const at = `translate(${origin.x} ${drawing.height - origin.y})`;
        return { key: `cell ${cell}`, at, svg: svgMarkup(items, drawing.height, { ...options, origin }) };
      }),
    ];
  }, [drawing, typefaces, ink, address, version]);
  return groups.map(({ key, at, svg }) => (
    <g key={key} transform={at}>
      <Markup svg={svg} />
    </g>
  ));
});

/** SVG text in the document; equal text is left alone. */
const Markup = memo(function Markup({ svg }: { svg: string }) {
  return <g dangerouslySetInnerHTML={{ __html: svg }} />;
});
