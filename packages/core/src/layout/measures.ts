import type { Design } from '../design';
import type { Names, Value } from '../formula';
import {
  DimensionError,
  evaluateDimensions,
  evaluateLength,
  FormulaError,
  length,
  parseFormula,
  words,
} from '../formula';
import type { Rect } from '../geometry';
import type { FrameRule, Margins, OfficeStandard, Orientation } from '../standard';
import type { Values } from '../parameter';
import { frameOf, frameRuleFor, parametersOf, sheetExtent, sheetSize, sizesOf } from '../standard';

/** Says where in the design a solution fails, in the design's own words. */
export class LayoutError extends Error {
  override name = 'LayoutError';
  constructor(
    readonly where: string,
    message: string,
  ) {
    super(message);
  }
}

/** The sheet, the frame and the dimensions of a design for one size: everything that lengths are computed from. */
export interface Measures {
  sheet: { name: string; orientation: Orientation; width: number; height: number };
  margins: Margins;
  /** What the office standard says of frames of this size. */
  rule: FrameRule;
  frame: Rect;
  dimensions: Map<string, Value>;
  /** A length in mm; `where` names the place for the error. */
  length(text: string, where: () => string): number;
  /** Whether a condition holds. */
  holds(text: string, where: () => string): boolean;
}

const FRAME_NAMES = new Set(['frame.width', 'frame.height']);

/**
 * Evaluates a design's dimensions for one size. Formulas may compare the values of parameters, as words. Margins may use dimensions and dimensions may use the frame, as long as
 * they do not use each other in a circle.
 * @throws LayoutError naming the dimension or the margin
 */
export function measure(
  design: Design,
  sizeName: string,
  standard: OfficeStandard,
  values: Values,
  orientation?: Orientation,
): Measures {
  const size = sheetSize(sizeName, sizesOf(standard));
  const rule = frameRuleFor(size, standard.frameRules);
  const chosen = orientation ?? design.sizes.find((each) => each.size === size.name)?.orientation;
  const extent = sheetExtent(size, chosen);
  const sheet = {
    name: size.name,
    orientation: chosen ?? (extent.width >= extent.height ? 'landscape' : 'portrait'),
    ...extent,
  } as const;

  const formulas = new Map(
    design.dimensions.map((each) => [each.name, each.bySize?.[size.name] ?? each.formula] as const),
  );
  const given = new Map<string, Value>([
    ['sheet.width', length(sheet.width)],
    ['sheet.height', length(sheet.height)],
    ['sheet.size', words(size.name)],
  ]);
  const parameters = parametersOf(standard);

  let margins: Margins | undefined;
  let frame: Rect | undefined;
  let framing = false;
  const frameNow = (): Rect => {
    if (frame) return frame;
    if (framing) throw new FormulaError('a margin uses the frame, and the frame needs that margin');
    framing = true;
    margins = design.frame.margins === 'standard' ? rule.margins : marginsOf(design.frame.margins);
    frame = frameOf(sheet, margins);
    if (frame.width <= 0 || frame.height <= 0) {
      throw new LayoutError('frame.margins', `the margins leave no room on ${size.name}`);
    }
    return frame;
  };
  const outside: Names = (name) => {
    if (FRAME_NAMES.has(name)) return length(name === 'frame.width' ? frameNow().width : frameNow().height);
    const own = given.get(name);
    if (own || !parameters.has(name)) return own;
    return words(values[name] ?? '');
  };
  const marginsOf = (texts: Record<keyof Margins, string>): Margins => {
    const needed = Object.values(texts).some((text) => parseFormula(text).names.length > 0);
    const values = needed ? evaluateDimensions(formulas, outside) : new Map<string, Value>();
    const edge = (key: keyof Margins): number => {
      try {
        return evaluateLength(texts[key], (name) => values.get(name) ?? outside(name));
      } catch (error) {
        throw asLayoutError(error, `frame.margins.${key}`);
      }
    };
    return { left: edge('left'), right: edge('right'), top: edge('top'), bottom: edge('bottom') };
  };

  let dimensions: Map<string, Value>;
  try {
    frameNow();
    dimensions = evaluateDimensions(formulas, outside);
  } catch (error) {
    throw asLayoutError(error, 'dimensions');
  }
  const names: Names = (name) => dimensions.get(name) ?? outside(name);
  return {
    sheet,
    margins: margins ?? rule.margins,
    rule,
    frame: frameNow(),
    dimensions,
    length(text, where) {
      try {
        return evaluateLength(text, names);
      } catch (error) {
        throw asLayoutError(error, where());
      }
    },
    holds(text, where) {
      try {
        const value = parseFormula(text).evaluate(names);
        if (value.kind !== 'truth')
          throw new FormulaError(`"${text}" is not a comparison, such as sheet.width > 500 mm or filled(sheet.notes)`);
        return value.holds;
      } catch (error) {
        throw asLayoutError(error, where());
      }
    },
  };
}

function asLayoutError(error: unknown, where: string): unknown {
  if (error instanceof DimensionError) return new LayoutError(`dimensions.${error.dimension}`, error.message);
  return error instanceof FormulaError ? new LayoutError(where, error.message) : error;
}
