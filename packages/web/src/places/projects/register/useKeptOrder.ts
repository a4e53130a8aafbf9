import { useState } from 'react';

const isSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i]);

/**
 * Rows in the order in which they were first seen: a row whose number changes stays under the hand that changed it. New rows
 * stand where they belong.
 * @param byHand whether they stand where somebody put them, whatever their numbers are
 * @returns the rows, whether they would be sorted otherwise, and what sorts them
 */
export function useKeptOrder<Row extends { id: string }>(
  sorted: readonly Row[],
  byHand = false,
): { rows: readonly Row[]; unsorted: boolean; sort: () => void } {
  const ids = sorted.map(({ id }) => id);
  const [order, setOrder] = useState<readonly string[]>(ids);
  const [wasByHand, setWasByHand] = useState(byHand);
  if (byHand !== wasByHand) setWasByHand(byHand);
  // As a rule nothing came, went or moved, and a register of thousands is shown again with every key.
  if (isSame(ids, order)) return { rows: sorted, unsorted: false, sort: () => setOrder(ids) };
  const here = new Set(ids);
  const known = order.filter((id) => here.has(id));
  const seen = new Set(known);
  // New rows follow the one before them; what has no known one before it comes first.
  const followers = new Map<string | undefined, string[]>();
  let last: string | undefined;
  for (const id of ids) {
    if (seen.has(id)) last = id;
    else followers.set(last, [...(followers.get(last) ?? []), id]);
  }
  const next = [undefined, ...known].flatMap((id) => [...(id === undefined ? [] : [id]), ...(followers.get(id) ?? [])]);
  // Whoever orders them by number again wants to see them so.
  const wanted = byHand || wasByHand ? ids : next;
  if (!isSame(wanted, order)) setOrder(wanted);
  const byId = new Map(sorted.map((row) => [row.id, row]));
  const unsorted = !isSame(wanted, ids);
  return {
    rows: unsorted ? next.flatMap((id) => byId.get(id) ?? []) : sorted,
    unsorted,
    sort: () => setOrder(ids),
  };
}
