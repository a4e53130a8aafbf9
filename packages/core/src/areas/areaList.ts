import type { AreaSettings, AreaUnit } from './areaTable';
import { AREA_UNITS, MOST_LISTED } from './areaTable';

type Listed = NonNullable<AreaSettings['listed']>[number];

/** What was read of a list of areas. */
export interface AreaList {
  areas: Listed[];
  /** What could not be read, with its row. */
  problems: string[];
}

/** Headings of columns by what they say (common practice); the unit may stand in the heading of the area. */
const HEADINGS: Readonly<Record<'number' | 'name' | 'group' | 'area', RegExp>> = {
  number: /^(?:no|nr|number|nummer|num[eé]ro|n[uú]mero|room (?:no|number)|raum-?nr)\.?$/i,
  name: /^(?:name|room|raum|nom|nombre|description|bezeichnung|room name)$/i,
  group: /^(?:group|gruppe|groupe|grupo|department|abteilung|category|use|nutzung)$/i,
  area: /^(?:area|size|fl(?:ä|ae)che|surface|superficie|m²|m2|sq\.?\s?ft|net area)(?:\s*[([].*[)\]])?$/i,
};

const FEET = /sq\.?\s?f(?:ee)?t|ft²|ft2/i;
const METRES = /m²|m2|sq\.?\s?m/i;
/** Problems that are told. */
const MOST_TOLD = 20;

/** A number as it is written with a point or a comma before its digits, and with signs between thousands; undefined for none. */
function amountIn(text: string): number | undefined {
  const bare = text
    .replace(FEET, '')
    .replace(METRES, '')
    .replace(/[\s\u00a0\u202f']/g, '');
  if (!/^\d[\d.,]*$/.test(bare)) return undefined;
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  const sign = bare[last];
  const other = sign === ',' ? '.' : ',';
  // A sign that comes more than once, or before three digits where the other one comes too, stands between thousands.
  const isDecimal =
    last >= 0 && bare.indexOf(sign!) === last && (bare.length - last !== 4 || bare.includes(other) || sign === '.');
  const plain = isDecimal
    ? `${bare.slice(0, last).replace(/[.,]/g, '')}.${bare.slice(last + 1)}`
    : bare.replace(/[.,]/g, '');
  const amount = Number(plain);
  return Number.isFinite(amount) ? amount : undefined;
}

/**
 * Reads a list of areas from the rows of a table: columns by their headings, or number, name, area, group in this order.
 * @param unit that amounts are in which do not say one, nor the heading of their column
 */
export function readAreaList(rows: readonly (readonly string[])[], unit: AreaUnit): AreaList {
  const [first = []] = rows;
  const placeOf = (column: keyof typeof HEADINGS): number =>
    first.findIndex((each) => HEADINGS[column].test(each.trim()));
  const headed = placeOf('area') >= 0;
  const at = headed
    ? { number: placeOf('number'), name: placeOf('name'), group: placeOf('group'), area: placeOf('area') }
    : { number: 0, name: 1, area: 2, group: 3 };
  const problems: string[] = [];
  const areas: Listed[] = [];
  const heading = headed ? (first[at.area] ?? '') : '';
  const usual: AreaUnit = FEET.test(heading) ? 'sq ft' : METRES.test(heading) ? 'm²' : unit;
  rows.forEach((row, i) => {
    if (headed && i === 0) return;
    const cell = (place: number): string => (place < 0 ? '' : (row[place] ?? '').trim());
    const [number, name, group, words] = [cell(at.number), cell(at.name), cell(at.group), cell(at.area)];
    if (number === '' && name === '' && words === '') return;
    const amount = amountIn(words);
    if (amount === undefined) problems.push(`row ${i + 1}: “${words}” is no area`);
    else if (number === '' && name === '') problems.push(`row ${i + 1}: neither a number nor a name`);
    else if (areas.length >= MOST_LISTED) problems.push(`row ${i + 1}: a list holds ${MOST_LISTED} areas`);
    else {
      const of: AreaUnit = FEET.test(words) ? 'sq ft' : METRES.test(words) ? 'm²' : usual;
      areas.push({
        number: number.slice(0, 80),
        name: name.slice(0, 200),
        group: group.slice(0, 80),
        squareMetres: amount * AREA_UNITS[of],
      });
    }
  });
  const told = problems.slice(0, MOST_TOLD);
  return { areas, problems: problems.length > MOST_TOLD ? [...told, `and ${problems.length - MOST_TOLD} more`] : told };
}
