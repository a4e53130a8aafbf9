/**
 * What each sign of a sheet is worth when readings of its size, unit and margins compete. Set by trial on the drawings of
 * `demo/legacy` and the blocks that `legacy/` draws by seed, whose sheets are known: the right reading has to win in all of them.
 */
export const EVIDENCE = {
  /** All text heights lie on a series of lettering heights in the unit. */
  heights: 6,
  /** The sheet is as small as a detail could be. */
  smallSheet: -0.6,
  /** A metric sheet drawn in inches, or the other way round. */
  otherSystem: -1.5,
  /** Sheets of the B series are rare in building. */
  seriesB: -1,
  /** The unit is off by as much as it may be. */
  offUnit: -2,
  /** The file says that it is drawn in the unit. */
  unitOfFile: 0.5,
  /** The sheet's edge with a frame inside; the more usual its margins the better, down the list of usual ones by steps. */
  edgeAndFrame: 3,
  usualMargins: 1,
  lessUsual: -0.03,
  /**
   * An edge with a frame inside, of a size that no list has: less than one of a listed size, more than anything that would move the
   * edge. More where its lengths are whole millimetres or eighths of an inch, much less where it is as large as a usual frame.
   */
  asDrawn: 2,
  wholeLengths: 0.5,
  usualFrame: -2,
  /** An edge without a frame: less than a frame with a standard's margins, more than one with odd ones. */
  edgeOnly: 0.3,
  /** A frame without an edge: with a standard's margins, with usual ones. */
  frameOnly: 1.2,
  frameUsual: 0.6,
  frameLessUsual: -0.01,
  /** Readings of last resort: an edge that is a little too small, by the part that is missing, and margins of nobody's, by their sum in mm. */
  smallEdge: 0.4,
  missingPart: -10,
  oddMargins: -0.4,
  oddMarginMm: -0.02,
} as const;

/** How sure the best reading is: from its score, and from how far the next one lies behind, both within these limits. */
export const SURENESS = { least: 0.3, most: 0.99, base: 0.35, byScore: 0.08, byLead: 0.25, fullLead: 2 } as const;

/** Margins in mm between which a rectangle inside of another one is its frame. */
export const FRAME_MARGIN = { least: 2, most: 70 } as const;
