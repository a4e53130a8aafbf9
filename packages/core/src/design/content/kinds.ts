import { z } from 'zod';
import { barCode } from './barCode';
import { caption } from './caption';
import { code } from './code';
import { field } from './field';
import { keyPlan } from './keyPlan';
import type { KindOfContent } from './kind';
import { notes } from './notes';
import { picture } from './picture';
import { scaleBar } from './scaleBar';
import { signing } from './signing';
import { symbol } from './symbol';
import { table } from './table';
import { ticks } from './tickBoxes';

/**
 * The kinds of content there are. A new kind is one more line here; the compiler then names what it lacks in layout, drawing
 * and editing.
 */
export const CONTENT_KINDS = {
  caption,
  field,
  notes,
  picture,
  table,
  symbol,
  scaleBar,
  keyPlan,
  ticks,
  code,
  barCode,
  signing,
};

export type ContentKind = keyof typeof CONTENT_KINDS;
/** A content of one kind. */
export type ContentOf<Kind extends ContentKind> = z.infer<(typeof CONTENT_KINDS)[Kind]['schema']>;
/** One thing that stands in a cell. */
export type Content = { [Kind in ContentKind]: ContentOf<Kind> }[ContentKind];

type Schema = (typeof CONTENT_KINDS)[ContentKind]['schema'];
/** Schemas of all kinds: an object has at least one, which its type does not tell. */
const schemas = Object.values(CONTENT_KINDS).map(({ schema }) => schema) as [Schema, ...Schema[]];
export const contentSchema = z.discriminatedUnion('kind', schemas);

/** What is known of the kind of a content. */
export const kindOf = <C extends Content>(content: C): KindOfContent<C> =>
  // That an entry goes with the contents of its own kind is true by its name, which the compiler does not follow.
  CONTENT_KINDS[content.kind] as KindOfContent<never> as KindOfContent<C>;
