import type { Design, Values } from '@mendrel/core';
import { readDesign } from '@mendrel/core';
import { CommandError } from './arguments';
import { readBytes } from './files';

function readJson(file: string): unknown {
  const text = new TextDecoder().decode(readBytes(file));
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new CommandError(`${file}: ${jsonPlace(text, (error as Error).message)}`);
  }
}

/** Turns the position that a JSON error names into a line. */
function jsonPlace(text: string, message: string): string {
  const position = /position (\d+)/.exec(message);
  const at = position ? Number(position[1]) : text.length;
  const line = text.slice(0, at).split('\n').length;
  return `line ${line}: this is not JSON`;
}

/** @throws CommandError with file and place */
export function readDesignFile(file: string): Design {
  const json = readJson(file);
  try {
    return readDesign(json);
  } catch (error) {
    throw new CommandError(`${file}: ${(error as Error).message}`);
  }
}

/** Values by parameter key, as plain text. */
export function readValuesFile(file: string): Values {
  const json = readJson(file);
  if (typeof json !== 'object' || json === null || Array.isArray(json)) {
    throw new CommandError(`${file}: values are written as {"sheet.title": "Ground floor plan"}`);
  }
  return Object.fromEntries(
    Object.entries(json).map(([key, value]: [string, unknown]) => {
      if (typeof value !== 'string' && typeof value !== 'number') {
        throw new CommandError(`${file}: the value of "${key}" must be text or a number`);
      }
      return [key, String(value)];
    }),
  );
}
