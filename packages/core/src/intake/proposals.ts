import { normalCaption } from './lexicon';
import type { ProposedParameter, ReportText } from './report';

const MOST = 40;

/** Words of captions that ask for something of the whole project rather than of a sheet, in the lexicon's spelling (common practice). */
const OF_PROJECT =
  /\b(project|projekt|projet|proyecto|obra|building|gebaude|batiment|edificio|site|plot|parcel|land|grundstuck|flurstuck|flur|gemarkung|parcelle|parcela|contract|contractor|vertrag|marche|permit|planning|bauantrag|permis|licencia|council|district|gemeinde|commune|municipio|employer|funding)\b/;

/** The scope that a parameter would have, by the words of its caption. */
const scopeOf = (caption: string): 'project' | 'sheet' =>
  OF_PROJECT.test(normalCaption(caption)) ? 'project' : 'sheet';

/** "FIRE CLASS:" as a name and as the last part of a key. */
function named(caption: string): { name: string; word: string } | undefined {
  const tidy = caption.replace(/[:.\s]+$/, '').trim();
  const words = tidy
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .split(/[^A-Za-z0-9]+/)
    .filter(Boolean)
    .map((word) => word.toLowerCase());
  const word = words.map((each, i) => (i === 0 ? each : each[0]?.toUpperCase() + each.slice(1))).join('');
  if (!/^[a-z][A-Za-z0-9]{1,40}$/.test(word)) return undefined;
  const name = tidy === tidy.toUpperCase() ? tidy[0] + tidy.slice(1).toLowerCase() : tidy;
  return { name: name.slice(0, 60), word };
}

/**
 * What an office may make parameters of: captions that stand for nothing known, in a cell with fixed words.
 * @param parameterOf what a caption is known to ask for
 */
export function proposalsFor(
  texts: readonly ReportText[],
  parameterOf: (caption: string) => string | undefined,
): ProposedParameter[] {
  const proposals: ProposedParameter[] = [];
  for (const caption of texts) {
    if (caption.kind !== 'caption' || caption.cell === null || parameterOf(caption.text) !== undefined) continue;
    const inCell = texts.filter((text) => text.cell === caption.cell);
    const values = inCell.filter((text) => text.kind === 'note' || text.kind === 'option');
    // With a caption that is known in the same cell, nobody can tell whose the words are.
    if (values.length === 0 || inCell.some((text) => text.kind === 'caption' && text !== caption)) continue;
    const made = named(caption.text);
    if (!made) continue;
    const key = `${scopeOf(caption.text)}.${made.word}`;
    if (proposals.some((each) => each.key === key)) continue;
    const options = values.filter((text) => text.kind === 'option').map((text) => text.text);
    proposals.push({
      caption: caption.text,
      key,
      name: made.name,
      ...(options.length > 1 ? { choices: options } : {}),
      value: values.map((text) => text.text).join(' '),
      texts: values.map((text) => text.id),
    });
    if (proposals.length === MOST) break;
  }
  return proposals;
}
