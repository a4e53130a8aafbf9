import type { Item } from '../../drawing';
import { turned } from '../../drawing';
import type { BoxContentKind, PlacedContent, PlacedOf } from '../../layout';
import type { DrawKind, DrawWith } from './kind';
import { barCodeItems } from './barCodes';
import { codeItems } from './codes';
import { keyPlanItems } from './keyPlans';
import { pictureItems } from './pictures';
import { scaleBarItems } from './scaleBars';
import { signingItems } from './signings';
import { symbolItems } from './symbols';
import { tableItems } from './tables';
import { tickBoxItems } from './tickBoxes';

/** How each kind of content that is no text is drawn. */
const DRAWN: { readonly [Kind in BoxContentKind]: DrawKind<PlacedOf<Kind>> } = {
  picture: pictureItems,
  table: tableItems,
  symbol: symbolItems,
  ticks: tickBoxItems,
  code: codeItems,
  barCode: barCodeItems,
  scaleBar: scaleBarItems,
  keyPlan: keyPlanItems,
  signing: signingItems,
};

/** The items of a content that is no text. */
export const boxItems = (placed: PlacedContent, on: DrawWith): Item[] =>
  // That an entry goes with the contents of its own kind is true by its name, which the compiler does not follow.
  (DRAWN[placed.content.kind] as DrawKind<never> as DrawKind<PlacedContent>)(placed, on).map((item) =>
    turned(item, placed.content.rotation),
  );
