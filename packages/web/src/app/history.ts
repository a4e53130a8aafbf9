/** Steps that can be undone, whatever is edited. */
export const MOST_STEPS = 200;

/** A document being edited, with the ways back and forth. Its states share what did not change. */
export interface History<Document> {
  past: Document[];
  present: Document | undefined;
  future: Document[];
}

/** Makes a document the present one. @param sameStep whether it belongs to the step before it, as what is typed on in one field */
export function step<Document>(history: History<Document>, next: Document, sameStep = false): void {
  if (history.present === undefined || next === history.present) return;
  if (!sameStep) {
    history.past.push(history.present);
    if (history.past.length > MOST_STEPS) history.past.shift();
  }
  history.present = next;
  history.future = [];
}

/** Goes one step back. @returns whether there was one */
export function stepBack<Document>(history: History<Document>): boolean {
  const before = history.past.pop();
  if (before === undefined || history.present === undefined) return false;
  history.future.push(history.present);
  history.present = before;
  return true;
}

/** Goes one step forth again. @returns whether there was one */
export function stepForth<Document>(history: History<Document>): boolean {
  const after = history.future.pop();
  if (after === undefined || history.present === undefined) return false;
  history.past.push(history.present);
  history.present = after;
  return true;
}
