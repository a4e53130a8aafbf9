import { cellsOf } from '../../design';
import { patternKeys } from '../../parameter';
import { formatLength } from '../../quantity';
import type { ConformityLine, Inspected } from './line';
import { CLOSE, verdictOf } from './line';

/** A data field of ISO 7200 with the characters that are recommended for it, and the parameters that hold it here. */
interface DataField {
  name: string;
  keys: readonly string[];
  characters?: number;
  /** It is made of figures and capitals rather than words. */
  figures?: true;
  mandatory?: true;
}

/** The data fields of ISO 7200 (from memory). */
export const DATA_FIELDS: readonly DataField[] = [
  { name: 'legal owner', keys: ['office.name', 'office.logo'], mandatory: true },
  { name: 'identification number', keys: ['sheet.number'], characters: 16, figures: true, mandatory: true },
  { name: 'revision index', keys: ['sheet.revision'], characters: 2, figures: true },
  {
    name: 'date of issue',
    keys: ['sheet.date', 'sheet.revisionDate', 'sheet.issueDate'],
    characters: 10,
    figures: true,
    mandatory: true,
  },
  { name: 'sheet number', keys: ['sheet.position'], characters: 4, figures: true, mandatory: true },
  { name: 'number of sheets', keys: ['set.count'], characters: 4, figures: true },
  { name: 'title', keys: ['sheet.title'], characters: 25, mandatory: true },
  { name: 'supplementary title', keys: ['sheet.subtitle'], characters: 25 },
  { name: 'approval person', keys: ['sheet.approvedBy', 'sheet.checkedBy'], characters: 20, mandatory: true },
  { name: 'creator', keys: ['sheet.drawnBy', 'sheet.designedBy'], characters: 20, mandatory: true },
  { name: 'document type', keys: ['sheet.kind'], characters: 30, mandatory: true },
  { name: 'document status', keys: ['sheet.status'], characters: 20 },
  { name: 'paper size', keys: ['sheet.size'], characters: 4, figures: true },
];

/** Words and figures that room is looked at with, cut to as many characters as a data field asks room for. */
const WORDS = 'East elevation of the hall with stairs and terrace';
const FIGURES = '2417-A-10101-P02';

/** Values as long as the data fields are recommended to be. */
export const longValues = (): Record<string, string> =>
  Object.fromEntries(
    DATA_FIELDS.flatMap(({ keys, characters, figures }) =>
      characters === undefined ? [] : keys.map((key) => [key, (figures ? FIGURES : WORDS).slice(0, characters)]),
    ),
  );

/** ISO 7200 (from memory): which data fields are there, and whether they hold the characters that are recommended. */
export function dataFieldLines({ design, layouts }: Inspected): ConformityLine[] {
  const places = new Map<string, { cell: string; content: string }[]>();
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      // What a code says nobody reads off the paper, and rows of a table are about other sheets.
      const keys =
        content.kind === 'field'
          ? patternKeys(content.pattern)
          : content.kind === 'picture' && content.parameter
            ? [content.parameter]
            : [];
      for (const key of keys) places.set(key, [...(places.get(key) ?? []), { cell: cell.id, content: content.id }]);
    }
  }
  return DATA_FIELDS.flatMap((field): ConformityLine[] => {
    const { name, keys, characters, mandatory } = field;
    const at = keys.flatMap((key) => places.get(key) ?? []);
    const cells = [...new Set(at.map(({ cell }) => cell))];
    const there: ConformityLine = {
      standard: 'ISO 7200',
      rule: `${name}${mandatory ? ', mandatory' : ''}`,
      found: at.length > 0 ? 'there' : 'not there',
      needed: mandatory ? 'a data field' : 'may be there',
      verdict: verdictOf(at.length > 0 ? true : mandatory ? false : undefined),
      cells,
    };
    if (characters === undefined || at.length === 0) return [there];
    const contents = new Set(at.map(({ content }) => content));
    let [by, size] = [0, ''];
    for (const layout of layouts) {
      for (const text of layout.texts) {
        if (contents.has(text.content) && text.by > by) [by, size] = [text.by, layout.sheet.name];
      }
    }
    const holds: ConformityLine = {
      standard: 'ISO 7200',
      rule: `${name}, characters`,
      found:
        by > CLOSE
          ? `${characters} characters spill ${formatLength(Math.ceil(by * 10) / 10, design.unit, true)} on ${size}`
          : 'has room',
      needed: `${characters} characters`,
      verdict: verdictOf(by <= CLOSE),
      cells,
    };
    return [there, holds];
  });
}
