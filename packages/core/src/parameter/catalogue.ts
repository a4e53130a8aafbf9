import type { OwnParameter, Parameter, ParameterKind } from './parameter';
import { asParameter } from './parameter';

const KINDS: Readonly<Record<string, ParameterKind>> = {
  'office.logo': 'picture',
  'project.logo': 'picture',
  'project.keyPlan': 'outline',
  'sheet.notes': 'long text',
  'sheet.date': 'date',
  'sheet.revisionDate': 'date',
  'sheet.issueDate': 'date',
};

const make =
  (scope: Parameter['scope'], computed: boolean) =>
  (own: string, name: string, typical: string, longest = typical): Parameter => ({
    key: `${scope}.${own}`,
    scope,
    name,
    computed,
    shipped: true,
    kind: KINDS[`${scope}.${own}`] ?? 'text',
    choices: [],
    default: '',
    hint: '',
    required: false,
    most: null,
    typical,
    longest,
  });

const office = make('office', false);
const project = make('project', false);
const set = make('set', false);
const setComputed = make('set', true);
const sheet = make('sheet', false);
const sheetComputed = make('sheet', true);

/** The parameters that ship, with examples invented for try-on. */
export const PARAMETERS: readonly Parameter[] = [
  office('name', 'Office', 'Quillwater Studio', 'Quillwater Studio Architects and Engineers'),
  office(
    'address',
    'Office address',
    '4 Netmakers Row, Brackenmouth',
    '4 Netmakers Row, Old Harbour Quarter, Brackenmouth',
  ),
  office('phone', 'Office phone', '055 0142 880'),
  office('email', 'Office e-mail', 'studio@quillwater.example'),
  office('web', 'Office web page', 'quillwater.example'),
  office('logo', 'Office logo', ''),
  project('name', 'Project', 'Brackenmouth Ferry Terminal', 'Brackenmouth Ferry Terminal, Passenger Hall and Quay'),
  project('number', 'Project number', '2417', '2417-B-03'),
  project(
    'address',
    'Project address',
    'South Quay, Brackenmouth',
    'South Quay and Lantern Steps, Brackenmouth Harbour',
  ),
  project('client', 'Client', 'Brackenmouth Harbour Trust', 'Trustees of the Brackenmouth Harbour and Estuary Trust'),
  project(
    'clientAddress',
    'Client address',
    'Harbour House, Brackenmouth',
    'Harbour House, Customs Lane, Brackenmouth',
  ),
  project('phase', 'Phase', 'Tender', 'Technical design'),
  project('originator', 'Originator', 'QWS', 'QWSA'),
  project('logo', 'Project logo', ''),
  project('keyPlan', 'Key plan outline', ''),
  project('northAngle', 'North angle', '12°', '348°'),
  set('name', 'Set', 'Tender', 'Planning application, first stage'),
  set('purpose', 'Set purpose', 'For tender', 'For co-ordination and comment'),
  setComputed('count', 'Sheets in the set', '36', '136'),
  sheet('number', 'Sheet number', 'A-101', 'A-1101'),
  sheet('title', 'Sheet title', 'Ground floor plan', 'East elevation, waterside, with pontoon and gangway'),
  sheet('subtitle', 'Subtitle', 'Zone B', 'Zone B, grid lines 4 to 11'),
  sheet('keyPlanPart', 'Part of the key plan', 'B', 'A, B'),
  sheet('discipline', 'Discipline', 'Architectural', 'Architectural interiors'),
  sheet('kind', 'Sheet kind', 'plan', 'elevation'),
  sheet('drawnBy', 'Drawn by', 'MO', 'M. Oldacre'),
  sheet('designedBy', 'Designed by', 'LS', 'L. Sandiford'),
  sheet('checkedBy', 'Checked by', 'TL', 'T. Lanyard'),
  sheet('approvedBy', 'Approved by', 'RH', 'R. Hawser'),
  sheet('date', 'Date', '2031-04-02', '30 September 2031'),
  sheet('status', 'Status', 'Tender', 'For information only'),
  sheet(
    'notes',
    'Notes',
    'Do not scale from this drawing.',
    'Do not scale from this drawing. Check all dimensions on site.',
  ),
  sheetComputed('scale', 'Scale', '1:100', '1:100, 1:20'),
  sheetComputed('size', 'Sheet size', 'A1', 'ARCH E1'),
  sheetComputed('revision', 'Revision', 'P02', 'P02.01'),
  sheetComputed('revisionDate', 'Revision date', '2031-03-21', '30 September 2031'),
  sheetComputed('position', 'Position in set', '2', '102'),
  sheetComputed('fileName', 'File name', 'BFT-A-101', 'BFT-QWS-ZZ-01-DR-A-1101'),
  sheetComputed('issueDate', 'Issue date', '2031-04-02', '30 September 2031'),
  sheetComputed('issuePurpose', 'Issue purpose', 'Tender', 'Co-ordination'),
];

/** Parameters by key: those that ship and those of an office. */
export type Parameters = ReadonlyMap<string, Parameter>;

/** The parameters that ship, by key. */
export const SHIPPED_PARAMETERS: Parameters = new Map(PARAMETERS.map((parameter) => [parameter.key, parameter]));

const joined = new WeakMap<readonly OwnParameter[], Parameters>();

/** The parameters that ship and an office's own. Made once for each list, for it is asked for at every field. */
export function parametersWith(own: readonly OwnParameter[]): Parameters {
  if (own.length === 0) return SHIPPED_PARAMETERS;
  let found = joined.get(own);
  if (!found) {
    found = new Map([...SHIPPED_PARAMETERS, ...own.map((each) => [each.key, asParameter(each)] as const)]);
    joined.set(own, found);
  }
  return found;
}

/** Values by parameter key, as text. */
export type Values = Readonly<Record<string, string>>;

export type TryOn = 'blank' | 'typical' | 'longest';

/** The values that try-on shows in place of real data. */
export function tryOnValues(tryOn: TryOn, parameters: Parameters = SHIPPED_PARAMETERS): Values {
  if (tryOn === 'blank') return {};
  return Object.fromEntries([...parameters.values()].map((parameter) => [parameter.key, parameter[tryOn]]));
}
