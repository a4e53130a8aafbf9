import type { ReadingLimits, ReadingResult, ReadingTask } from '@mendrel/reading';

/** Where a command writes what it has to say. */
export interface Output {
  out: (text: string) => void;
  error: (text: string) => void;
}

/** Reads a drawing within limits, wherever that runs. */
export type ReadDrawing = (task: ReadingTask, limits: ReadingLimits) => Promise<ReadingResult>;

/**
 * Runs one command with the words that stand after its name.
 * @throws CommandError with what is told in one line
 */
export type Command = (words: readonly string[], around: { output: Output; read: ReadDrawing }) => void | Promise<void>;
