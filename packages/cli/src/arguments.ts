/** A mistake in how the command was called or in a file it was given, told in one line. */
export class CommandError extends Error {
  override name = 'CommandError';
}

/** What stood on the command line. */
export interface Arguments {
  positional: string[];
  options: Map<string, string>;
  flags: Set<string>;
}

/**
 * Sorts a command line into plain words, `--name value` and flags.
 * @throws CommandError for an option that the command does not have or whose value is missing
 */
export function readArguments(
  words: readonly string[],
  known: { options: readonly string[]; flags: readonly string[] },
): Arguments {
  const read: Arguments = { positional: [], options: new Map(), flags: new Set() };
  for (let i = 0; i < words.length; i++) {
    const word = words[i] ?? '';
    if (!/^-./.test(word)) {
      read.positional.push(word);
      continue;
    }
    if (!word.startsWith('--')) throw new CommandError(`there is no option ${word} here`);
    const [name = '', inline] = word.slice(2).split(/=(.*)/s, 2);
    if (known.flags.includes(name) && inline === undefined) read.flags.add(name);
    else if (known.options.includes(name)) {
      const value = inline ?? words[++i];
      if (value === undefined) throw new CommandError(`--${name} needs a value`);
      read.options.set(name, value);
    } else throw new CommandError(`there is no option --${name} here`);
  }
  return read;
}

/** The value of an option that must be given. */
export function needed(read: Arguments, name: string): string {
  const value = read.options.get(name);
  if (value === undefined || value === '') throw new CommandError(`--${name} is missing`);
  return value;
}

/** The value of an option that is a whole number from 1 on; `usual` when it is left out. */
export function countOf(read: Arguments, name: string, usual: number): number {
  const text = read.options.get(name);
  if (text === undefined) return usual;
  if (!/^[1-9]\d{0,5}$/.test(text)) throw new CommandError(`--${name} ${text}: write a whole number from 1 to 999999`);
  return Number(text);
}

/** The one file that a command is about. @param what how to call it when it is missing */
export function oneFile({ positional: [file, extra] }: Arguments, what: string): string {
  if (file === undefined) throw new CommandError(`${what} is missing`);
  if (extra !== undefined) throw new CommandError(`"${extra}" is one file too many`);
  return file;
}
