/** What a view is while it is dragged from the tray onto the paper. */
const KIND = 'application/x-mendrel-view';

/** Takes a view of a sheet along with a drag. */
export function carry(event: React.DragEvent, sheet: string, view: string): void {
  event.dataTransfer.setData(KIND, JSON.stringify([sheet, view]));
  event.dataTransfer.effectAllowed = 'move';
}

/** Whether a drag takes a view along. */
export const carries = (data: DataTransfer): boolean => data.types.includes(KIND);

/** The view that a drag took along, and its sheet; undefined for anything else. */
export function carried(data: DataTransfer): { sheet: string; view: string } | undefined {
  try {
    const [sheet, view] = JSON.parse(data.getData(KIND)) as unknown[];
    return typeof sheet === 'string' && typeof view === 'string' ? { sheet, view } : undefined;
  } catch {
    return undefined;
  }
}
