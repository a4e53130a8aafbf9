import type { KeyboardEvent } from 'react';

/** What a field says whose text may have breaks. */
export const BREAK_HINT = 'Shift+Enter begins a new line';

/** Whether a key keeps the text of a field with breaks: Enter does; with Shift it begins a new line. */
export function keepsText(event: KeyboardEvent): boolean {
  if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return false;
  event.preventDefault();
  return true;
}

/** Enter submits the form of a field with breaks, as it does from a field of one line. */
export function submitOnEnter(event: KeyboardEvent<HTMLElement>): void {
  if (keepsText(event)) event.currentTarget.closest('form')?.requestSubmit();
}
