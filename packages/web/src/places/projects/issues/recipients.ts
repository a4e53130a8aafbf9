import type { Recipient, Row } from '@mendrel/core';

/** Recipients while they are typed: each with what stays the same when it is edited. */
export interface TypedRecipient extends Recipient {
  id: string;
}

let lastId = 0;
export const freshRecipient = (more: Partial<Recipient> = {}): TypedRecipient => ({
  firm: '',
  person: '',
  copies: 'PDF',
  ...more,
  id: `recipient-${++lastId}`,
});

/** Recipients as they are sent: without rows that name nobody. */
export const namedRecipients = (typed: readonly TypedRecipient[]): Recipient[] =>
  typed
    .map(({ firm, person, copies }) => ({ firm: firm.trim(), person: person.trim(), copies: copies.trim() }))
    .filter(({ firm, person }) => firm !== '' || person !== '');

/** Contacts of the project that are no recipients yet, as recipients. */
export function contactsToAdd(contacts: readonly Row[], typed: readonly TypedRecipient[]): Partial<Recipient>[] {
  const known = new Set(typed.map(({ firm, person }) => `${firm}|${person}`));
  return contacts.flatMap((row) => {
    const [firm, person] = [row['firm'] ?? '', row['person'] ?? ''];
    return (firm === '' && person === '') || known.has(`${firm}|${person}`) ? [] : [{ firm, person }];
  });
}
