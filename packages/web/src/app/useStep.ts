import { useState } from 'react';

/**
 * Something that a dialog does: while it runs the dialog is busy, when it is done the dialog closes, and when it is refused the
 * dialog says why and keeps what was typed.
 */
export function useStep(onDone: () => void) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  /** @param work gives why it was refused */
  const run = async (work: () => Promise<string | undefined>): Promise<void> => {
    setBusy(true);
    const refused = await work();
    setBusy(false);
    if (refused === undefined) onDone();
    else setProblem(refused);
  };
  return { problem, busy, run };
}
