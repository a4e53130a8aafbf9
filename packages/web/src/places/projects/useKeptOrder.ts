import { useState } from 'react';

/**
 * Rows in the order in which they were first seen: a row whose number changes stays under the hand that changed it. New rows
 * stand where they belong.
 * @returns the rows, whether they would be sorted otherwise, and what sorts them
 */
export function useKeptOrder<Row extends { id: string }>(
  sorted: readonly Row[],
): { rows: readonly Row[]; unsorted: boolean; sort: () => void } {
  const [order, setOrder] = useState<readonly string[]>(() => sorted.map(({ id }) => id));
  const ids = sorted.map(({ id }) => id);
  const known = order.filter((id) => ids.includes(id));
  const next = [...known];
  ids.forEach((id, i) => {
    if (known.includes(id)) return;
    const before = ids
      .slice(0, i)
      .reverse()
      .find((each) => next.includes(each));
    next.splice(before === undefined ? 0 : next.indexOf(before) + 1, 0, id);
  });
  if (next.join() !== order.join()) setOrder(next);
  const byId = new Map(sorted.map((row) => [row.id, row]));
  return {
    rows: next.flatMap((id) => byId.get(id) ?? []),
    unsorted: next.join() !== ids.join(),
    sort: () => setOrder(ids),
  };
}
