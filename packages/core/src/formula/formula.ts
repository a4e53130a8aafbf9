import jsep from 'jsep';
import { lengthAtStart } from '../quantity';

/**
 * What a formula can come to. A quantity's `power` is its dimension: 0 for a plain number, 1 for a length (in mm),
 * 2 for an area (in mm²). Words come from data and are only ever compared.
 */
export type Value =
  | { kind: 'quantity'; amount: number; power: number }
  | { kind: 'truth'; holds: boolean }
  | { kind: 'words'; words: string };

export class FormulaError extends Error {
  override name = 'FormulaError';
}

export const length = (mm: number): Value => ({ kind: 'quantity', amount: mm, power: 1 });
export const number = (amount: number): Value => ({ kind: 'quantity', amount, power: 0 });

export const words = (text: string): Value => ({ kind: 'words', words: text });

/** Gives the value of a name, or undefined when there is none. */
export type Names = (name: string) => Value | undefined;

export interface Formula {
  text: string;
  /** The names it uses, each once. */
  names: readonly string[];
  evaluate(names: Names): Value;
}

type Compute = (names: Names) => Value;

/** Longer formulas than this are refused: no dimension needs them, and parsing time stays bounded. */
const MOST_CHARACTERS = 300;
const MOST_NESTING = 40;

interface LengthNode extends jsep.Expression {
  type: 'LengthLiteral';
  mm: number;
}

// A hook that reads `12 mm`, `3/32 in` and `2'-10"` as one token, before the parser sees the digits and the quotes.
jsep.hooks.add('gobble-token', function readLength(env) {
  const found = /[\d.]/.test(this.char) ? lengthAtStart(this.expr.slice(this.index)) : undefined;
  if (!found) return;

  this.index += found.characters;
  env.node = { type: 'LengthLiteral', mm: found.mm };
});

function quantity(value: Value, doing: string): { amount: number; power: number } {
  if (value.kind === 'words') throw new FormulaError(`${doing} needs numbers or lengths, not words`);
  if (value.kind === 'truth') throw new FormulaError(`${doing} needs numbers or lengths, not a comparison`);
  return value;
}

function truth(value: Value, doing: string): boolean {
  if (value.kind !== 'truth') throw new FormulaError(`${doing} needs comparisons on both sides`);
  return value.holds;
}

/** Words are the same whatever their case and the spaces around them: people type them. */
const plain = (text: string): string => text.trim().toLowerCase();

/** Compares two values of one kind for being equal. */
function same(left: Value, right: Value, doing: string): boolean {
  if (left.kind === 'words' && right.kind === 'words') return plain(left.words) === plain(right.words);
  if (left.kind === 'words' || right.kind === 'words')
    throw new FormulaError(`${doing} compares words with a length or number`);
  const { amounts } = samePower([left, right], doing);
  return amounts[0] === amounts[1];
}

function samePower(values: Value[], doing: string): { amounts: number[]; power: number } {
  const quantities = values.map((value) => quantity(value, doing));
  const power = quantities[0]?.power ?? 0;
  if (quantities.some((each) => each.power !== power)) {
    throw new FormulaError(`${doing} mixes a length with a plain number; give both a unit or neither`);
  }
  return { amounts: quantities.map((each) => each.amount), power };
}

const FUNCTIONS: Record<string, { arguments: [number, number]; compute: (amounts: number[]) => number }> = {
  min: { arguments: [1, 20], compute: (amounts) => Math.min(...amounts) },
  max: { arguments: [1, 20], compute: (amounts) => Math.max(...amounts) },
  abs: { arguments: [1, 1], compute: ([a = 0]) => Math.abs(a) },
  // With a second argument these three go to its multiples: round(strip / 3, 5 mm).
  round: { arguments: [1, 2], compute: ([a = 0, step = 1]) => Math.round(a / step) * step },
  floor: { arguments: [1, 2], compute: ([a = 0, step = 1]) => Math.floor(a / step) * step },
  ceil: { arguments: [1, 2], compute: ([a = 0, step = 1]) => Math.ceil(a / step) * step },
};

function compileBinary(operator: string, left: Compute, right: Compute): Compute {
  const compared = (holds: (a: number, b: number) => boolean): Compute => {
    return (names) => {
      const { amounts } = samePower([left(names), right(names)], `"${operator}"`);
      return { kind: 'truth', holds: holds(amounts[0] ?? 0, amounts[1] ?? 0) };
    };
  };
  const added = (sign: 1 | -1): Compute => {
    return (names) => {
      const { amounts, power } = samePower([left(names), right(names)], `"${operator}"`);
      return { kind: 'quantity', amount: (amounts[0] ?? 0) + sign * (amounts[1] ?? 0), power };
    };
  };
  switch (operator) {
    case '+':
      return added(1);
    case '-':
      return added(-1);
    case '*':
      return (names) => {
        const [a, b] = [quantity(left(names), '"*"'), quantity(right(names), '"*"')];
        return { kind: 'quantity', amount: a.amount * b.amount, power: a.power + b.power };
      };
    case '/':
      return (names) => {
        const [a, b] = [quantity(left(names), '"/"'), quantity(right(names), '"/"')];
        if (b.amount === 0) throw new FormulaError('divides by zero');
        return { kind: 'quantity', amount: a.amount / b.amount, power: a.power - b.power };
      };
    case '<':
      return compared((a, b) => a < b);
    case '<=':
      return compared((a, b) => a <= b);
    case '>':
      return compared((a, b) => a > b);
    case '>=':
      return compared((a, b) => a >= b);
    case '==':
      return (names) => ({ kind: 'truth', holds: same(left(names), right(names), '"=="') });
    case '!=':
      return (names) => ({ kind: 'truth', holds: !same(left(names), right(names), '"!="') });
    case '&&':
      return (names) => ({ kind: 'truth', holds: truth(left(names), '"&&"') && truth(right(names), '"&&"') });
    case '||':
      return (names) => ({ kind: 'truth', holds: truth(left(names), '"||"') || truth(right(names), '"||"') });
    default:
      throw new FormulaError(`"${operator}" is not an operation formulas know`);
  }
}

function dottedName(node: jsep.Expression): string | undefined {
  if (node.type === 'Identifier') return (node as jsep.Identifier).name;
  if (node.type !== 'MemberExpression') return undefined;
  const member = node as jsep.MemberExpression;
  if (member.computed) return undefined;
  const [owner, own] = [dottedName(member.object), dottedName(member.property)];
  return owner && own ? `${owner}.${own}` : undefined;
}

function compileCall(node: jsep.CallExpression, names: Set<string>, depth: number): Compute {
  const called = dottedName(node.callee) ?? '';
  if (called === 'filled') return compileFilled(node, names);
  const known = Object.hasOwn(FUNCTIONS, called) ? FUNCTIONS[called] : undefined;
  if (!known)
    throw new FormulaError(
      `there is no function "${called}"; there are ${[...Object.keys(FUNCTIONS), 'filled'].join(', ')}`,
    );
  const [fewest, most] = known.arguments;
  if (node.arguments.length < fewest || node.arguments.length > most) {
    throw new FormulaError(`${called}() takes ${fewest === most ? fewest : `${fewest} to ${most}`} values`);
  }
  const parts = node.arguments.map((argument) => compile(argument, names, depth + 1));
  return (lookup) => {
    const { amounts, power } = samePower(
      parts.map((part) => part(lookup)),
      `${called}()`,
    );
    const amount = known.compute(amounts);
    if (!Number.isFinite(amount)) throw new FormulaError(`${called}() has no result for these values`);
    return { kind: 'quantity', amount, power };
  };
}

/** `filled(sheet.notes)`: whether a parameter has a value. */
function compileFilled(node: jsep.CallExpression, names: Set<string>): Compute {
  const [argument] = node.arguments;
  const name = argument && dottedName(argument);
  if (!name || node.arguments.length !== 1) throw new FormulaError('filled() takes one parameter, such as sheet.notes');
  names.add(name);
  return (lookup) => {
    const value = lookup(name);
    if (value?.kind !== 'words') throw new FormulaError(`there is no parameter "${name}"`);
    return { kind: 'truth', holds: value.words.trim() !== '' };
  };
}

function compile(node: jsep.Expression, names: Set<string>, depth = 0): Compute {
  if (depth > MOST_NESTING) throw new FormulaError(`is nested more than ${MOST_NESTING} deep`);
  const into = (child: jsep.Expression): Compute => compile(child, names, depth + 1);
  switch (node.type) {
    case 'LengthLiteral': {
      const value = length((node as LengthNode).mm);
      return () => value;
    }
    case 'Literal': {
      const literal = (node as jsep.Literal).value;
      if (typeof literal === 'string') {
        const value = words(literal);
        return () => value;
      }
      if (typeof literal !== 'number') throw new FormulaError(`"${String(literal)}" is not a number or a length`);
      const value = number(literal);
      return () => value;
    }
    case 'Identifier':
    case 'MemberExpression': {
      const name = dottedName(node);
      if (!name) throw new FormulaError('names are words with dots, such as sheet.width');
      names.add(name);
      return (lookup) => {
        const value = lookup(name);
        if (!value) throw new FormulaError(`there is no dimension "${name}"`);
        return value;
      };
    }
    case 'UnaryExpression': {
      const unary = node as jsep.UnaryExpression;
      const inner = into(unary.argument);
      if (unary.operator === '+') return inner;
      if (unary.operator === '!') return (lookup) => ({ kind: 'truth', holds: !truth(inner(lookup), '"!"') });
      if (unary.operator !== '-') throw new FormulaError(`"${unary.operator}" is not an operation formulas know`);
      return (lookup) => {
        const { amount, power } = quantity(inner(lookup), '"-"');
        return { kind: 'quantity', amount: -amount, power };
      };
    }
    case 'BinaryExpression': {
      const binary = node as jsep.BinaryExpression;
      return compileBinary(binary.operator, into(binary.left), into(binary.right));
    }
    case 'ConditionalExpression': {
      const choice = node as jsep.ConditionalExpression;
      const [test, yes, no] = [into(choice.test), into(choice.consequent), into(choice.alternate)];
      return (lookup) => {
        const tested = test(lookup);
        if (tested.kind !== 'truth') throw new FormulaError('what stands before "?" must be a comparison');
        return tested.holds ? yes(lookup) : no(lookup);
      };
    }
    case 'CallExpression':
      return compileCall(node as jsep.CallExpression, names, depth);
    default:
      throw new FormulaError('is not a formula Mendrel can read');
  }
}

const compiled = new Map<string, Formula>();
const MOST_COMPILED = 2000;

/**
 * Reads a formula: arithmetic, comparison, `a ? b : c`, `min max round floor ceil abs`, lengths with units, names.
 * @throws FormulaError in words that follow "The formula …"
 */
export function parseFormula(text: string): Formula {
  const known = compiled.get(text);
  if (known) return known;
  if (text.trim() === '') throw new FormulaError('is empty');
  if (text.length > MOST_CHARACTERS) throw new FormulaError(`is longer than ${MOST_CHARACTERS} characters`);
  let tree: jsep.Expression;
  try {
    tree = jsep(text);
  } catch (error) {
    throw new FormulaError(`cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  const names = new Set<string>();
  const evaluate = compile(tree, names);
  const formula: Formula = { text, names: [...names], evaluate };
  if (compiled.size >= MOST_COMPILED) compiled.clear();
  compiled.set(text, formula);
  return formula;
}

/** Evaluates to a length in mm. A bare number counts as mm only when it is zero. */
export function evaluateLength(text: string, names: Names): number {
  const value = quantity(parseFormula(text).evaluate(names), 'a length');
  if (value.power === 0 && value.amount === 0) return 0;
  if (value.power !== 1) {
    throw new FormulaError(
      value.power === 0
        ? `"${text}" is a plain number where a length is needed; add a unit, such as ${text.trim()} mm`
        : `"${text}" is an area where a length is needed`,
    );
  }
  return value.amount;
}
