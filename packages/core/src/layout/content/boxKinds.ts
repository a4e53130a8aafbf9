import type { Content, ContentKind, ContentOf } from '../../design';
import type { BoxKind, PlacedBox } from './kind';
import { pictures } from './pictures';
import { symbols } from './symbols';
import { barCodes } from './barCodes';
import { codes } from './codes';
import { keyPlans } from './keyPlans';
import { scaleBars } from './scaleBars';
import { signings } from './signings';
import { tables } from './tables';
import { tickBoxes } from './tickBoxes';
import type { TextContentKind } from './textKinds';

export type BoxContentKind = Exclude<ContentKind, TextContentKind>;
export type BoxContent = ContentOf<BoxContentKind>;

/** The kinds that are no texts. */
export const BOX_KINDS = {
  picture: pictures,
  table: tables,
  symbol: symbols,
  ticks: tickBoxes,
  code: codes,
  barCode: barCodes,
  scaleBar: scaleBars,
  keyPlan: keyPlans,
  signing: signings,
} satisfies {
  [Kind in BoxContentKind]: BoxKind<ContentOf<Kind>, PlacedBox<ContentOf<Kind>>>;
};

/** A content of one kind where it came to stand. */
export type PlacedOf<Kind extends BoxContentKind> = ReturnType<(typeof BOX_KINDS)[Kind]['lay']>['placed'];
export type PlacedContent = { [Kind in BoxContentKind]: PlacedOf<Kind> }[BoxContentKind];

/** How a content that is no text is placed. */
export const boxKindOf = ({ kind }: BoxContent): BoxKind<Content, PlacedContent> =>
  // That an entry goes with the contents of its own kind is true by its name, which the compiler does not follow.
  BOX_KINDS[kind] as unknown as BoxKind<Content, PlacedContent>;
