import type { ComponentType } from 'react';
import type { Content, ContentKind, ContentOf, OfficeStandard, WorkingUnit } from '@mendrel/core';

/** What the editor of a content is given. */
export interface EditorProps<C> {
  content: C;
  standard: OfficeStandard;
  unit: WorkingUnit;
  onChange: (content: Content) => void;
}

/** What a new content is made for. */
export interface MakingFor {
  id: string;
  unit: WorkingUnit;
  standard: OfficeStandard;
}

/** How a kind of content is edited in setting-out. */
export interface EditedKind<Kind extends ContentKind> {
  Editor: ComponentType<EditorProps<ContentOf<Kind>>>;
  /** What adding one is called in the menu and among the commands. One with a key of its own has a button, too. */
  adding: { menu: string; command: string; key?: string };
  /** A new one with the least that it needs; a kind without is chosen from a file. */
  make?: (on: MakingFor) => ContentOf<Kind>;
}
