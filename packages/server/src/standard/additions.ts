import type { StandardAddition } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { readStandard } from '@mendrel/core';
import type { Knex } from 'knex';
import { Failure } from '../http/failure';
import { officeForChange, OfficeModel } from '../office/officeModel';
import { newestRevision, StandardRevisionModel } from './standardModel';

/** A standard with entries that it does not have yet; what has the same name or id stays as it is. */
function withEntries(
  standard: OfficeStandard,
  { sizes, roles, pens, parameters, frameRules }: StandardAddition,
): OfficeStandard {
  const missing = (there: readonly unknown[], added: readonly unknown[], by: string): unknown[] => {
    const known = new Set(there.map((each) => (each as Record<string, unknown>)[by]));
    return added.filter((each) => !known.has((each as Record<string, unknown>)[by]));
  };
  return readStandard({
    ...standard,
    sizes: [...standard.sizes, ...missing(standard.sizes, sizes, 'name')],
    roles: [...standard.roles, ...missing(standard.roles, roles, 'id')],
    pens: [...standard.pens, ...missing(standard.pens, pens, 'id')],
    parameters: [...standard.parameters, ...missing(standard.parameters, parameters, 'key')],
    // The last rule is that of sizes that none is made for: it stays the last.
    frameRules: [...missing(standard.frameRules, frameRules, 'id'), ...standard.frameRules],
  });
}

/** Entries of a standard that designs take by revision; parameters are always those of the draft. */
const count = (standard: OfficeStandard): number =>
  standard.sizes.length + standard.roles.length + standard.pens.length;

/**
 * Puts entries into the draft of the standard and, where something was published already, into a new revision that is the newest
 * one with just these entries: what else is being changed in the draft stays unpublished.
 * @returns the revision that has them; null while there is only the draft
 * @throws StandardError for an entry that a standard cannot hold
 */
export async function addToStandard(added: StandardAddition, transaction: Knex): Promise<number | null> {
  const office = await officeForChange(transaction);
  const draft = withEntries(office.standard, added);
  if (draft.parameters.length !== office.standard.parameters.length || count(draft) !== count(office.standard)) {
    await OfficeModel.query(transaction)
      .findById(1)
      .patch({ standard: draft, standard_version: office.standard_version + 1 });
  }
  const newest = await newestRevision(transaction);
  if (newest === null) return null;
  const before = await StandardRevisionModel.query(transaction).findById(newest);
  if (!before) throw new Failure('not-found', `the standard has no revision ${newest}`, 'standard');
  // An own size, a role or a pen may stand in the draft already, where somebody has typed it; it is published as it is there.
  const asDrafted = {
    ...added,
    sizes: added.sizes.map((each) => draft.sizes.find(({ name }) => name === each.name) ?? each),
    roles: added.roles.map((each) => draft.roles.find(({ id }) => id === each.id) ?? each),
    pens: added.pens.map((each) => draft.pens.find(({ id }) => id === each.id) ?? each),
    parameters: [],
  };
  const after = withEntries({ ...before.document, parameters: draft.parameters }, asDrafted);
  if (count(after) === count(before.document)) return newest;
  await StandardRevisionModel.query(transaction).insert({
    number: newest + 1,
    note: `Adds ${[...added.sizes, ...added.roles, ...added.pens].map((each) => each.name).join(', ')}`.slice(0, 1000),
    document: after,
  });
  return newest + 1;
}
