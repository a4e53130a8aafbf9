import { EditError, parsePattern, PatternError } from '@mendrel/core';

/** What is wrong with a pattern, in words; undefined for one that can be read. */
export function patternProblem(pattern: string): string | undefined {
  try {
    parsePattern(pattern);
    return undefined;
  } catch (error) {
    if (error instanceof PatternError) return error.message;
    throw error;
  }
}

/** A pattern that can be read. @throws EditError in the words of the pattern */
export function readPattern(text: string): string {
  const problem = patternProblem(text);
  if (problem !== undefined) throw new EditError(problem);
  return text;
}
