import type { DateForm, Parameter, Parameters, Values } from '../parameter';
import { datesIn, SHIPPED_PARAMETERS } from '../parameter';
import type { ScaleWording, View } from '../placement';
import { sheetScale } from '../placement';
import type { SheetRevision } from '../revision';
import { standingRevisions } from '../revision';
import type { SheetKind } from './sheetKind';

/** What is known of a sheet before anything is computed. */
export interface SheetRecord {
  number: string;
  title: string;
  kind: SheetKind;
  size: string;
  values: Values;
  views: readonly View[];
  /** In the order in which they were made; none where nothing is known of them. */
  revisions?: readonly SheetRevision[];
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

/** All parameters of one sheet: data entered for the office, the project and the sheet, and what is computed from them. */
export function sheetValues(
  entered: { office: Values; project: Values },
  sheet: SheetRecord,
  position: { index: number; count: number },
  wording: ScaleWording & { dates: DateForm },
  parameters: Parameters = SHIPPED_PARAMETERS,
): Values {
  const revision = standingRevisions(sheet.revisions).at(-1);
  const originator = entered.project['project.number'] ?? '';
  const computed: Record<string, string> = {
    'sheet.number': sheet.number,
    'sheet.title': sheet.title,
    'sheet.kind': sheet.kind,
    'sheet.size': sheet.size.replace(/^ISO /, ''),
    'sheet.scale': sheetScale(sheet.views, wording),
    'sheet.revision': revision?.code ?? '',
    'sheet.revisionDate': revision?.date ?? '',
    'sheet.position': String(position.index + 1),
    'sheet.fileName': originator === '' ? sheet.number : `${originator}-${sheet.number}`,
    'set.count': String(position.count),
  };
  const values = { ...defaultsOf(parameters), ...entered.office, ...entered.project, ...sheet.values, ...computed };
  return datesIn(wording.dates, values, parameters);
}

/**
 * Whether people may type a value for a key at a scope: it is known, belongs there and is not computed. What is said of a set
 * is entered with its project, all of whose sheets are one set.
 */
export function mayEnter(
  key: string,
  scope: 'office' | 'project' | 'sheet',
  parameters: Parameters = SHIPPED_PARAMETERS,
): boolean {
  const parameter = parameters.get(key);
  return parameter !== undefined && enteredWith(parameter.scope) === scope && !parameter.computed;
}

/** The scope whose form asks for a parameter. */
const enteredWith = (scope: Parameter['scope']): 'office' | 'project' | 'sheet' =>
  scope === 'set' ? 'project' : scope;
