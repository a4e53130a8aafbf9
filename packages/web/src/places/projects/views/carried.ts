import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';

/** What a view is while it is dragged onto the paper. */
const KIND = 'application/x-mendrel-view';

/** Takes a view along with a drag, from a sheet or from the tray. */
export function carry(
  event: React.DragEvent,
  { view, from }: { view: Pick<View, 'id'>; from?: Pick<Sheet, 'id'> },
): void {
  event.dataTransfer.setData(KIND, JSON.stringify([from?.id ?? '', view.id]));
  event.dataTransfer.effectAllowed = 'move';
}

/** Whether a drag takes a view along. */
export const carries = (data: DataTransfer): boolean => data.types.includes(KIND);

/** The view that a drag took along, and its sheet, '' for the tray; undefined for anything else. */
export function carried(data: DataTransfer): { sheet: string; view: string } | undefined {
  try {
    const [sheet, view] = JSON.parse(data.getData(KIND)) as unknown[];
    return typeof sheet === 'string' && typeof view === 'string' ? { sheet, view } : undefined;
  } catch {
    return undefined;
  }
}
