import { useEffect, useSyncExternalStore } from 'react';
import type { Drawing, PieceItem } from '@mendrel/core';
import { pieceAddress } from '../app/assetAddress';

/**
 * Pictures of views that take long to paint, as bitmaps. A picture is SVG; one of a plan with a hundred thousand lines would be painted
 * anew with every step of a drag. Light ones are painted as they are.
 */

/** A picture is heavy from so many bytes on. */
const HEAVY_BYTES = 1_500_000;
/** The longest side of a bitmap, in dots. */
const LONGEST = 3072;
/** Bitmaps that are kept; the one that was not asked for longest goes first. */
const MOST_KEPT = 6;

/** Light pictures that are known to be so; others are looked at again. */
const MOST_KNOWN = 500;

/** What is known of a picture by its address: that it is light, or is being looked at, or the address of its bitmap. */
const known = new Map<string, { bitmap?: string }>();
const listeners = new Set<() => void>();
let version = 0;

function told(): void {
  version++;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The address of the bitmap of a picture; undefined while there is none. */
const bitmapOf = (address: string): string | undefined => known.get(address)?.bitmap;

async function bitmapFrom(
  svg: Blob,
  { width, height }: Pick<PieceItem, 'width' | 'height'>,
): Promise<string | undefined> {
  const source = URL.createObjectURL(svg);
  try {
    const image = new Image();
    image.src = source;
    await image.decode();
    const scale = LONGEST / Math.max(width, height);
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(width * scale));
    canvas.height = Math.max(1, Math.round(height * scale));
    const context = canvas.getContext('2d');
    if (!context) return undefined;
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    const bitmap = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve));
    return bitmap ? URL.createObjectURL(bitmap) : undefined;
  } finally {
    URL.revokeObjectURL(source);
  }
}

function dropOldest(): void {
  const bitmaps = [...known].filter(([, { bitmap }]) => bitmap !== undefined);
  for (const [address, { bitmap }] of bitmaps.slice(0, Math.max(0, bitmaps.length - MOST_KEPT))) {
    known.delete(address);
    if (bitmap) URL.revokeObjectURL(bitmap);
  }
  const light = [...known].filter(([, { bitmap }]) => bitmap === undefined);
  for (const [address] of light.slice(0, Math.max(0, light.length - MOST_KNOWN))) known.delete(address);
}

/** Looks at a picture once, and makes a bitmap of it where it is heavy. What fails is painted as it is. */
async function lookAt(piece: PieceItem): Promise<void> {
  const address = pieceAddress(piece);
  const before = known.get(address);
  if (before) {
    // Asked for again it is the newest.
    known.delete(address);
    known.set(address, before);
    return;
  }
  known.set(address, {});
  dropOldest();
  try {
    const svg = await (await fetch(address)).blob();
    if (svg.size < HEAVY_BYTES) return;
    const bitmap = await bitmapFrom(svg, piece);
    if (bitmap === undefined) return;
    known.set(address, { bitmap });
    dropOldest();
    told();
  } catch {
    // The picture itself is there still, and says what is wrong with it.
  }
}

/** Dots of a bitmap to a millimetre of paper, from which on it is too coarse and the picture itself is painted. */
export const COARSE = 4;

/**
 * Where pictures of views are painted from: bitmaps of heavy ones, as long as they are not looked at closely or are moved, and the
 * pictures themselves else.
 * @param close whether they are looked at closely, and stand still
 */
export function usePieceAddress(drawing: Drawing, close: boolean): { address: typeof pieceAddress; version: number } {
  const now = useSyncExternalStore(subscribe, () => version);
  useEffect(() => {
    for (const item of drawing.items) if (item.kind === 'piece') void lookAt(item);
  }, [drawing]);
  return { address: close ? pieceAddress : lighterAddress, version: now };
}

/** The address of a bitmap where there is one, that of the picture else. */
export function lighterAddress(piece: Parameters<typeof pieceAddress>[0]): string {
  const address = pieceAddress(piece);
  return bitmapOf(address) ?? address;
}
