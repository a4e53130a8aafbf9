/** Which standard something uses, in words. */
export const standardInWords = (number: number | null): string =>
  number === null ? 'Follows the draft of the standard' : `Standard, revision ${number}`;
