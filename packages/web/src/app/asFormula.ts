import type { WorkingUnit } from '@mendrel/core';
import { FormulaError, lengthAsFormula, parseFormula, parseLength, QuantityError } from '@mendrel/core';

/**
 * What was typed for a dimension as the formula that is kept: a bare number is a length in the design's unit.
 * @throws FormulaError for what is neither a length nor a formula
 */
export function asFormula(text: string, unit: WorkingUnit): string {
  if (/^[\d.,\s/-]+$/.test(text)) {
    try {
      return lengthAsFormula(parseLength(text, unit), unit);
    } catch (error) {
      throw error instanceof QuantityError ? new FormulaError(error.message) : error;
    }
  }
  parseFormula(text);
  return text;
}
