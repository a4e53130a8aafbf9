import type { MarkedParagraph, MarkedRun } from '../../lettering';
import { plainText, TAB } from '../../lettering';
import type { Notes } from './notes';

/** What stands before the words of a list: `1.`, `12)`, `a)`, `-`, `–` or a dot. */
const LABEL = /^[ \t]*((?:\d{1,3}[.)]|[A-Za-z]\)|[-–•]))[ \t]+(?=[^\s|])/;
/** Signs that mark words: around them stands nothing that words go on with. */
const SIGNS = { '*': 'strong', _: 'underlined' } as const;
type Sign = keyof typeof SIGNS;

const isWord = (letter: string | undefined): boolean => letter !== undefined && /[\p{L}\p{N}]/u.test(letter);
const isSpace = (letter: string | undefined): boolean => letter === undefined || /\s/.test(letter);
const isSign = (letter: string | undefined): letter is Sign => letter === '*' || letter === '_';
/** Typed between columns, as a tab is: in most fields the Tab key goes on to the next one. */
const COLUMN = '|';

/** One letter as it was typed: a sign that a backslash stands before is a letter like any other. */
interface Letter {
  letter: string;
  plain: boolean;
}

function lettersOf(typed: string): Letter[] {
  const letters: Letter[] = [];
  const all = [...typed];
  for (let i = 0; i < all.length; i++) {
    const [letter = '', next] = [all[i], all[i + 1]];
    if (letter === '\\' && (isSign(next) || next === COLUMN || next === '\\')) {
      letters.push({ letter: next, plain: true });
      i++;
    } else if (letter === COLUMN || letter === TAB) {
      // The spaces around it are those of who typed it.
      while (letters.at(-1)?.letter === ' ') letters.pop();
      while (all[i + 1] === ' ') i++;
      letters.push({ letter: TAB, plain: true });
    } else letters.push({ letter, plain: !isSign(letter) });
  }
  return letters;
}

/** Signs that open or close words, each with the place of its partner; one without stays a letter. */
function pairsOf(letters: readonly Letter[]): Map<number, number> {
  const pairs = new Map<number, number>();
  const open = new Map<string, number>();
  letters.forEach(({ letter, plain }, i) => {
    if (plain) return;
    const [before, after] = [letters[i - 1]?.letter, letters[i + 1]?.letter];
    const start = open.get(letter);
    if (start !== undefined && !isSpace(before) && !isWord(after) && i > start + 1) {
      pairs.set(start, i).set(i, start);
      // What was opened within and is not closed there is a letter: marks lie within each other, and never across.
      for (const [other, at] of open) if (at >= start) open.delete(other);
    } else if (start === undefined && !isWord(before) && !isSpace(after)) open.set(letter, i);
  });
  return pairs;
}

function runsOf(typed: string): MarkedRun[] {
  const letters = lettersOf(typed);
  const pairs = pairsOf(letters);
  const runs: MarkedRun[] = [];
  const look: Omit<MarkedRun, 'text'> = {};
  let fresh = true;
  letters.forEach(({ letter }, i) => {
    const partner = pairs.get(i);
    if (partner !== undefined && isSign(letter)) {
      const mark = SIGNS[letter];
      if (partner > i) look[mark] = true;
      else delete look[mark];
      fresh = true;
      return;
    }
    const last = runs.at(-1);
    if (last && !fresh) last.text += letter;
    else runs.push({ text: letter, ...look });
    fresh = false;
  });
  return joined(runs);
}

/** Neighbours of one look as one. */
function joined(runs: readonly MarkedRun[]): MarkedRun[] {
  const out: MarkedRun[] = [];
  for (const run of runs) {
    const last = out.at(-1);
    if (last && last.strong === run.strong && last.underlined === run.underlined) last.text += run.text;
    else out.push({ ...run });
  }
  return out;
}

/**
 * Notes as they are typed: `*strong*`, `_underlined_`, columns with `|` or a tab between them, and lists whose lines begin with
 * `1.`, `a)` or `-`. A sign that opens or closes nothing is a letter, and so is one with a backslash before it.
 */
export function readMarks(typed: string): Pick<Notes, 'text' | 'paragraphs'> {
  const paragraphs = typed.split(/\r?\n/).map((line): MarkedParagraph => {
    const label = LABEL.exec(line);
    const runs = runsOf(label ? line.slice(label[0].length) : line);
    return label?.[1] === undefined ? { runs } : { label: label[1], runs };
  });
  const text = plainText(paragraphs);
  const marked = paragraphs.some(({ label, runs }) => label !== undefined || runs.some(isMarked));
  return marked ? { text, paragraphs } : { text };
}

const isMarked = ({ text, strong, underlined }: MarkedRun): boolean =>
  strong === true || underlined === true || text.includes(TAB);

const escaped = (text: string): string => text.replace(/[*_|\\]/g, '\\$&');

/** What is typed for notes; `readMarks` reads the same from it. */
export function writeMarks({ text, paragraphs }: Pick<Notes, 'text' | 'paragraphs'>): string {
  if (!paragraphs) {
    const { text: read, paragraphs: found } = readMarks(text);
    const plain = read === text && !found?.some(({ runs }) => runs.some(isMarked));
    return plain ? text : escaped(text);
  }
  return paragraphs
    .map(({ label, runs }) => `${label === undefined ? '' : `${label} `}${writtenRuns(runs)}`)
    .join('\n');
}

/** Runs with their signs: the one that lasts longer stands around the other. */
function writtenRuns(runs: readonly MarkedRun[]): string {
  const signs = Object.entries(SIGNS) as [Sign, 'strong' | 'underlined'][];
  const open: Sign[] = [];
  let out = '';
  const lasts = (from: number, mark: 'strong' | 'underlined'): number => {
    let to = from;
    while (runs[to]?.[mark]) to++;
    return to - from;
  };
  runs.forEach((run, i) => {
    const opening = signs
      .filter(([sign, mark]) => run[mark] && !open.includes(sign))
      .sort((a, b) => lasts(i, b[1]) - lasts(i, a[1]));
    for (const [sign] of opening) {
      open.push(sign);
      out += sign;
    }
    out += escaped(run.text).replaceAll(TAB, ` ${COLUMN} `);
    while (open.length > 0 && !runs[i + 1]?.[SIGNS[open.at(-1) ?? '*']]) out += open.pop();
  });
  return out;
}
