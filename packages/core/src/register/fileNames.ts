import type { Parameters } from '../parameter';
import { fillPattern, patternKeys, PatternError } from '../parameter';
import type { Values } from '../parameter';

/** How sheets' files are named where a project says nothing else. */
export const USUAL_FILE_NAMES = '[{project.number}-]{sheet.number}';

/** Patterns that are usual, to begin with. */
export const FILE_NAME_PATTERNS: readonly { name: string; pattern: string }[] = [
  { name: 'Project and sheet number', pattern: USUAL_FILE_NAMES },
  { name: 'Number, revision and title', pattern: '{sheet.number}[-{sheet.revision}] {sheet.title}' },
  {
    // Fields of the national annex to ISO 19650-2: project, originator, volume, level, type, role, number (from memory).
    name: 'ISO 19650-2 container (from memory)',
    pattern: '{project.number}-{project.originator, or XXX}-ZZ-XX-DR-A-{sheet.number}',
  },
];

/** Characters of a name without its ending; longer paths are cut by programs that read them (common practice). */
export const MOST_FILE_NAME = 100;

/** What a file's name may not hold on one of the usual systems, and names that stand for devices on one of them (from memory). */
const FORBIDDEN = /[<>:"/\\|?*\u0000-\u001f]/g;
const DEVICES = /^(con|prn|aux|nul|com[1-9]|lpt[1-9])(\.|$)/i;

/** What is wrong with a pattern for file names; undefined when nothing. */
export function fileNamePatternProblem(pattern: string, parameters: Parameters): string | undefined {
  try {
    const keys = patternKeys(pattern);
    const unknown = keys.find((key) => !parameters.has(key));
    if (unknown !== undefined) return `there is no parameter ${unknown}`;
    if (keys.includes('sheet.fileName')) return 'the name of a file cannot stand in itself';
    if (!keys.some((key) => key.startsWith('sheet.')))
      return 'names need something of the sheet, such as {sheet.number}';
    return undefined;
  } catch (error) {
    if (error instanceof PatternError) return error.message;
    throw error;
  }
}

/** The name of a sheet's file without its ending. */
export const fileNameOf = (pattern: string | undefined, values: Values): string =>
  fillPattern(pattern ?? USUAL_FILE_NAMES, values)
    .text.replace(/\s+/g, ' ')
    .trim();

/** What is wrong with names of files. */
export interface FileNameProblem {
  message: string;
  /** Numbers of the sheets that it is about. */
  numbers: string[];
}

/** Names that two sheets share, that hold what no file's name may hold, or that are too long. */
export function fileNameProblems(names: readonly { number: string; name: string }[]): FileNameProblem[] {
  const problems: FileNameProblem[] = [];
  const known = new Map<string, string[]>();
  for (const { number, name } of names) {
    // Some systems do not tell capitals apart.
    known.set(name.toLowerCase(), [...(known.get(name.toLowerCase()) ?? []), number]);
    const say = (message: string): void => void problems.push({ message: `${number}: ${message}`, numbers: [number] });
    const wrong = [...new Set(name.match(FORBIDDEN))];
    if (name === '') say('it has no name');
    else if (wrong.length > 0) say(`“${name}” holds ${wrong.join(' ')}, which a file’s name may not`);
    else if (DEVICES.test(name)) say(`“${name}” is the name of a device`);
    else if (name.endsWith('.')) say(`“${name}” ends in a full stop`);
    if (name.length > MOST_FILE_NAME) say(`“${name}” has ${name.length} characters; ${MOST_FILE_NAME} are the most`);
  }
  for (const [name, numbers] of known)
    if (name !== '' && numbers.length > 1)
      problems.push({ message: `${numbers.join(', ')} would have the same name`, numbers });
  return problems;
}
