import { createHash } from 'node:crypto';
import type { Piece } from '@mendrel/contract';
import type { Picture } from '../work/picture';

/** How long a picture is kept that nobody asked for, in ms. */
const KEPT_FOR = 20_000;

/**
 * The picture by which a drawing is first looked at: whoever brings one sees it next, so it is drawn while the drawing is still
 * being stored. Only the newest is kept, for it may be large.
 */
export class FirstPicture {
  private of: { key: string; picture: Promise<Picture> } | undefined;

  /** Begins to draw a piece of linework. */
  begin(packed: Uint8Array, piece: Piece, draw: () => Promise<Picture>): void {
    const picture = draw();
    // Whoever asks for it is told; where nobody does, it is drawn again later.
    picture.catch(() => undefined);
    const of = { key: keyOf(createHash('sha256').update(packed).digest('hex'), piece), picture };
    this.of = of;
    setTimeout(() => {
      if (this.of === of) this.of = undefined;
    }, KEPT_FOR).unref();
  }

  /** The picture, if this piece of it is the one; given once. */
  take(sha256: string, piece: Piece): Promise<Picture> | undefined {
    if (this.of?.key !== keyOf(sha256, piece)) return undefined;
    const { picture } = this.of;
    this.of = undefined;
    return picture;
  }
}

const keyOf = (
  sha256: string,
  { from, hidden, width, height, perUnit, typeface, fallback, least, pens, outline }: Piece,
): string =>
  JSON.stringify([
    sha256,
    from.x,
    from.y,
    hidden,
    width,
    height,
    perUnit,
    typeface,
    fallback ?? null,
    least,
    pens ?? null,
    outline ?? null,
  ]);
