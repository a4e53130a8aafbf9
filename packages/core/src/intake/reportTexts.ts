import type { Rect } from '../geometry';
import type { Values } from '../parameter';
import { SHIPPED_PARAMETERS } from '../parameter';
import type { OfficeStandard } from '../standard';
import type { BuiltDesign, FoundCell } from './builtDesign';
import { inWords } from './buildDesign';
import { SAME_HEIGHT } from './corrections';
import type { ReadText } from './readText';
import { positionIn } from './valueLooks';
import type { LegacyText } from './legacyText';
import type { Decision, ReportLettering, ReportText } from './report';
import { round } from './rounding';
import type { FoundSheet } from './sheetSearch';

/** A text that stands in a cell. */
export function reportText(read: ReadText, cell: FoundCell, built: BuiltDesign): ReportText {
  const role = built.roles.get(read)?.role;
  return {
    id: read.text.id,
    text: read.text.text,
    kind: read.kind,
    parameter: read.kind === 'field' || read.kind === 'option' ? (read.parameter ?? null) : null,
    role: role?.id ?? null,
    x: round(read.text.at.x),
    y: round(read.text.at.y),
    height: role?.height ?? read.text.height,
    cell: built.cellIds.get(cell.face) ?? null,
  };
}

/** A text that stands in no cell: a table's heading, or a zone's character. */
export function plainText(
  text: LegacyText,
  kind: 'caption' | 'zone',
  standard: OfficeStandard,
  sheet: FoundSheet,
): ReportText {
  const candidates =
    kind === 'zone'
      ? standard.roles.filter((role) => role.use === 'zone')
      : standard.roles.filter((role) => role.use === 'caption' && (role.unit === 'in') === (sheet.system === 'inch'));
  const role = [...candidates].sort((a, b) => Math.abs(a.height - text.height) - Math.abs(b.height - text.height))[0];
  return {
    id: text.id,
    text: text.text,
    kind,
    parameter: null,
    role: role?.id ?? null,
    x: round(text.at.x),
    y: round(text.at.y),
    height: role?.height ?? round(text.height),
    cell: null,
  };
}

/** What remained unclear, in words. */
export function unresolvedOf(cells: readonly FoundCell[], odd: readonly Rect[]): string[] {
  const found = odd.map(
    (rect) =>
      `a region of ${round(rect.width, 1)} x ${round(rect.height, 1)} mm at ${round(rect.x, 1)}, ${round(rect.y, 1)} is no rectangle`,
  );
  for (const cell of cells) {
    for (const read of cell.texts) {
      if (read.kind === 'note' && read.text.tag !== undefined) {
        found.push(`no parameter is known for the attribute ${read.text.tag} (“${read.text.text}”)`);
      } else if (read.kind === 'note' && cell.texts.some((each) => each.kind === 'caption' && !each.parameter)) {
        found.push(`no parameter is known for what stands over “${read.text.text}”`);
      }
    }
  }
  return found;
}

/** The values that stood in the block, by parameter: of a parameter that stands in several cells, that of the first. */
export function valuesOf(cells: readonly FoundCell[]): Values {
  const values: Record<string, string> = {};
  for (const { texts } of cells) {
    const own: Record<string, string> = {};
    const add = (parameter: string, words: string): void => {
      // Lines that were broken by hand stay lines.
      own[parameter] = own[parameter] === undefined ? words : `${own[parameter]}\n${words}`;
    };
    for (const { kind, parameter, pattern, text, box } of texts) {
      if (kind === 'option' && parameter && box?.ticked)
        own[parameter] = own[parameter] === undefined ? text.text : `${own[parameter]}, ${text.text}`;
      if (kind !== 'field' || !parameter || text.text === '') continue;
      const position = pattern === undefined ? undefined : positionIn(text.text);
      if (position) {
        add('sheet.position', position.position);
        add('set.count', position.count);
      } else add(parameter, text.text);
    }
    for (const [parameter, words] of Object.entries(own)) values[parameter] ??= words;
  }
  return values;
}

/** What was decided on the way. */
export function decisionsOf(sheet: FoundSheet, cells: readonly FoundCell[], built: BuiltDesign): Decision[] {
  const extent = `${inWords(sheet.width, sheet.system)} x ${inWords(sheet.height, sheet.system)}`;
  const decisions: Decision[] = [
    { what: `The sheet is ${sheet.size.name}, ${extent}`, why: sheet.why, confidence: sheet.confidence },
  ];
  for (const cell of cells) {
    for (const read of cell.texts) {
      if (read.kind === 'caption' || read.text.text === '') continue;
      const parameter = read.parameter ? SHIPPED_PARAMETERS.get(read.parameter) : undefined;
      const content = built.contentIds.get(read);
      decisions.push({
        what:
          read.kind === 'option'
            ? `“${read.text.text}” is one of the options${parameter ? ` of ${parameter.name.toLowerCase()}` : ''}${read.box?.ticked ? ', ticked' : ''}`
            : parameter
              ? `“${read.text.text}” is the ${parameter.name.toLowerCase()}`
              : `“${read.text.text}” stays as fixed words`,
        why: read.why,
        confidence: read.confidence,
        ...(content ? { content } : {}),
      });
    }
  }
  return decisions;
}

/** The old heights of lettering, the smallest first, with the roles that their texts were given. */
export function letteringOf(cells: readonly FoundCell[], built: BuiltDesign): ReportLettering[] {
  const all = cells
    .flatMap(({ texts }) => texts)
    .filter((read) => read.text.text !== '')
    .map((read) => ({ height: read.text.height, given: built.roles.get(read) }))
    .sort((a, b) => a.height - b.height);
  const found: (ReportLettering & { sum: number })[] = [];
  for (const { height, given } of all) {
    const [role, own] = [given?.role.id ?? null, given?.found.id ?? null];
    const same = found.find(
      (each) => each.role === role && each.found === own && Math.abs(each.sum / each.texts / height - 1) < SAME_HEIGHT,
    );
    if (same) {
      same.texts++;
      same.sum += height;
    } else found.push({ height: 0, texts: 1, sum: height, role, found: own, roleHeight: given?.role.height ?? height });
  }
  return found.map(({ sum, ...each }) => ({ ...each, height: round(sum / each.texts, 3) }));
}
