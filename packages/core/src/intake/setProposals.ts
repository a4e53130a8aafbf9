import { normalCaption } from './lexicon';
import type { IntakeReport, ProposedParameter } from './report';

/** A parameter that the sheets of a group propose together, and how many of them do. */
export interface SetProposal extends Omit<ProposedParameter, 'texts'> {
  sheets: number;
}

/** The same value on so many sheets at least says that it is the project's. */
const FEWEST = 2;

/**
 * What the sheets of a group propose: a caption that stands over the same value on all of them asks for something of the project,
 * one whose values differ for something of each sheet.
 */
export function setProposals(reports: readonly Pick<IntakeReport, 'proposals'>[]): SetProposal[] {
  const byCaption = new Map<string, ProposedParameter[]>();
  for (const { proposals } of reports)
    for (const each of proposals) {
      const caption = normalCaption(each.caption);
      const known = byCaption.get(caption);
      if (known) known.push(each);
      else byCaption.set(caption, [each]);
    }
  return [...byCaption.values()].flatMap((all): SetProposal[] => {
    const [first] = all;
    if (!first) return [];
    const { caption, name, value, choices } = first;
    const values = new Set(all.map(({ value }) => value));
    const scope = all.length < FEWEST ? undefined : values.size === 1 && !first.choices ? 'project' : 'sheet';
    const key = scope === undefined ? first.key : `${scope}.${first.key.slice(first.key.indexOf('.') + 1)}`;
    return [{ caption, key, name, value, ...(choices ? { choices } : {}), sheets: all.length }];
  });
}
