import type { ReactElement } from 'react';
import { useState } from 'react';
import type { Action } from '@reduxjs/toolkit';
import { screen, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import type { Cell, Design } from '@mendrel/core';
import { EditError, findCell } from '@mendrel/core';
import { shown } from '../../../testing/shown';

/** What applies an edit to the design. */
type OnEdit = (edit: (design: Design) => Design) => void;

interface EditedDesign {
  user: UserEvent;
  /** The design as it is by now. */
  design: () => Design;
  cell: (id: string) => Cell;
  /** What was said about the last edit that was refused. */
  refused: () => string | undefined;
}

/** Shows what edits a design, and keeps what is made of it. */
export function edited(
  start: Design,
  show: (design: Design, onEdit: OnEdit) => ReactElement,
  before: readonly Action[] = [],
): EditedDesign {
  let design = start;
  let refused: string | undefined;
  function Editing() {
    const [now, setNow] = useState(start);
    return show(now, (edit) => {
      try {
        design = edit(design);
      } catch (error) {
        if (!(error instanceof EditError)) throw error;
        refused = error.message;
      }
      setNow(design);
    });
  }
  const { user } = shown(<Editing />, before);
  return {
    user,
    design: () => design,
    refused: () => refused,
    cell: (id) => findCell(design, id)!.cell,
  };
}

/** Puts other words into a field and leaves it with Enter. */
export async function retype(user: UserEvent, label: string | RegExp, text: string): Promise<HTMLElement> {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, `${text.replace(/[{[]/g, '$&$&')}{Enter}`);
  return field;
}

/** Chooses one of a list by its name. */
export async function choose(user: UserEvent, label: string | RegExp, option: string | RegExp): Promise<void> {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(within(screen.getByRole('listbox')).getByRole('option', { name: option }));
}
