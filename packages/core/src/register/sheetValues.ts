import type { DateForm, Parameter, Parameters, Values } from '../parameter';
import { datesIn, SHIPPED_PARAMETERS } from '../parameter';
import type { ScaleWording, View } from '../placement';
import { sheetScale } from '../placement';
import type { SheetIssue } from '../issue';
import type { SheetRevision } from '../revision';
import { standingRevisions } from '../revision';
import { fileNameOf } from './fileNames';

/** What is known of a sheet before anything is computed. */
export interface SheetRecord {
  number: string;
  title: string;
  /** The name of its kind. */
  kind: string;
  size: string;
  values: Values;
  views: readonly View[];
  /** In the order in which they were made; none where nothing is known of them. */
  revisions?: readonly SheetRevision[];
  /** Those that it went out with, the oldest first. */
  issues?: readonly SheetIssue[];
}

const defaults = new WeakMap<Parameters, Values>();

/** What stands where nothing was entered. Made once for each list, for it is asked for by every sheet. */
function defaultsOf(parameters: Parameters): Values {
  let found = defaults.get(parameters);
  if (!found) {
    found = Object.fromEntries(
      [...parameters.values()].flatMap((each) => (each.default ? [[each.key, each.default]] : [])),
    );
    defaults.set(parameters, found);
  }
  return found;
}

/** All parameters of one sheet, its file named by the project's pattern: data entered for the office, the project and the sheet, and what is computed from them. */
export function sheetValues(
  entered: { office: Values; project: Values; fileNames?: string },
  sheet: SheetRecord,
  position: { index: number; count: number },
  wording: ScaleWording & { dates: DateForm },
  parameters: Parameters = SHIPPED_PARAMETERS,
): Values {
  const revision = standingRevisions(sheet.revisions).at(-1);
  const issue = sheet.issues?.at(-1);
  const computed: Record<string, string> = {
    'sheet.number': sheet.number,
    'sheet.title': sheet.title,
    'sheet.kind': sheet.kind,
    'sheet.size': sheet.size.replace(/^ISO /, ''),
    'sheet.scale': sheetScale(sheet.views, wording),
    'sheet.revision': revision?.code ?? '',
    'sheet.revisionDate': revision?.date ?? '',
    'sheet.issueDate': issue?.date ?? '',
    'sheet.issuePurpose': issue?.purpose ?? '',
    'sheet.position': String(position.index + 1),
    'set.count': String(position.count),
  };
  const values = { ...defaultsOf(parameters), ...entered.office, ...entered.project, ...sheet.values, ...computed };
  const shown = datesIn(wording.dates, values, parameters);
  return { ...shown, 'sheet.fileName': fileNameOf(entered.fileNames, shown) };
}

/**
 * Whether people may type a value for a key at a scope: it is known, belongs there and is not computed. What is said of a set
 * may be entered with its project as well, all of whose sheets are one set as long as no other is put out.
 */
export function mayEnter(key: string, scope: Parameter['scope'], parameters: Parameters = SHIPPED_PARAMETERS): boolean {
  const parameter = parameters.get(key);
  if (parameter === undefined || parameter.computed) return false;
  return parameter.scope === scope || (parameter.scope === 'set' && scope === 'project');
}
