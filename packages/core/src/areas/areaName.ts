import type { TextItem } from '../drawing';

/** What is written in an outline. */
export interface AreaName {
  name: string;
  number: string;
  /** The group, where an attribute of a block says it. */
  group: string;
  /** The layers that name and number stand on. */
  layers: string[];
}

/** A number of a room: digits, with a letter before it and parts after points or dashes. */
const NUMBER = /^[A-Z]{0,2}[.-]?\d[\w.-]*$/i;
/** An area that is written beside it, which is measured here. */
const WRITTEN = /^[\d.,\s]+(?:m²|m2|sq\.?\s?(?:ft|m)\.?|ft²)$/i;

/** Tags of attributes by what they say, in the languages that intake knows (common practice). */
const TAGS: Readonly<Record<'name' | 'number' | 'group', RegExp>> = {
  number: /^(?:ROOM|RAUM|PIECE|LOCAL|AREA)?[_ -]?(?:NO|NR|NUM|NUMBER|NUMMER|NUMERO)$/i,
  name: /^(?:ROOM|RAUM|PIECE|LOCAL|AREA)?[_ -]?(?:NAME|NOM|NOMBRE|BEZEICHNUNG|DESCRIPTION)$|^(?:ROOM|RAUM)$/i,
  group: /^(?:GROUP|GRUPPE|GROUPE|GRUPO|DEPARTMENT|DEPT|ABTEILUNG|CATEGORY|KATEGORIE|USE|NUTZUNG|USO|USAGE)$/i,
};

/** Name, number and group in texts: what attributes of blocks say by their tags, else what looks like it, the largest text first. */
export function namedBy(texts: readonly TextItem[]): AreaName {
  const tagged = (says: keyof typeof TAGS): TextItem | undefined =>
    texts.find(({ field, text }) => field && TAGS[says].test(field.tag) && text.trim() !== '');
  const [ownNumber, ownName, group] = [tagged('number'), tagged('name'), tagged('group')];
  const words = [...texts]
    .filter((each) => each !== group)
    .sort((a, b) => b.height - a.height || b.at.y - a.at.y)
    .flatMap(({ text, layer }) => text.split(/\s{2,}|\t/).map((each) => ({ word: each.trim(), layer })))
    .filter(({ word }) => word !== '' && !WRITTEN.test(word));
  const asWord = (text: TextItem | undefined): { word: string; layer: string } | undefined =>
    text && { word: text.text.trim(), layer: text.layer };
  const number = asWord(ownNumber) ?? words.find(({ word }) => NUMBER.test(word));
  const name = asWord(ownName) ?? words.find(({ word }) => !NUMBER.test(word) && word !== number?.word);
  return {
    name: name?.word ?? '',
    number: number?.word ?? '',
    group: group?.text.trim() ?? '',
    layers: [name, number].flatMap((each) => (each ? [each.layer] : [])),
  };
}
