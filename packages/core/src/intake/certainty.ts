/**
 * How sure each way of reading a text is, 0 to 1, as it is shown beside what was read. An order more than a measure, set by trial on
 * the drawings in `demo/legacy` and the blocks that `legacy/` draws by seed, whose truth is known: how often each way was right there
 * was not counted.
 */
export const CERTAINTY = {
  /** A person said so. */
  setByHand: 1,
  /** The word stands in the lexicon of the drawing office, or was taught. */
  knownWord: 0.95,
  /** Caption and value on one line, or in cells beside or under each other. */
  onOneLine: 0.85,
  neighbour: 0.85,
  /** Words of law are notes, whatever stands over them. */
  wordsOfLaw: 0.8,
  /** The attribute of a block is named after a parameter. */
  byTag: 0.8,
  endsWithColon: 0.7,
  /** Small over a larger text, small under one, or beside a caption and looking like one. */
  smallOverLarger: 0.6,
  smallUnder: 0.6,
  besideCaption: 0.6,
  /** In capitals or larger, over lines of text. */
  overLines: 0.6,
  /** Where captions stand in other cells of the block. */
  asInOthers: 0.55,
  /** Alone at the top of its cell, in capitals. */
  aloneOnTop: 0.55,
  /** Looks like a date, a scale or a sheet number, without a caption. */
  byItsLook: 0.5,
  /** A text without a caption is taken for a fixed note; an attribute hardly is one. */
  noCaption: 0.6,
  attributeWithoutCaption: 0.3,
} as const;

/** Heights of two texts are the same within this part of them, and smaller or larger beyond that: lettering is drawn by hand. */
export const LETTERING_SIZES = {
  same: 0.1,
  smaller: 0.9,
  larger: 1.15,
  /** Lines of one text that was wrapped by hand. */
  wrapped: 0.05,
} as const;
