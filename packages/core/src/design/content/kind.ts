import type { z } from 'zod';

/** Where something stands within a content: keys and positions from the content down. */
export type Path = readonly (string | number)[];

/** A formula within a content, and what it is for in words: `the row height of a table`. */
export interface FormulaPart {
  path: Path;
  what: string;
}

/**
 * All that is known of a kind of content wherever designs are read, searched, renamed and compared. What it looks like stands
 * in `layout/content/` and `compose/content/`; how it is edited, in the interface.
 */
export interface KindOfContent<C> {
  /** What the kind is called, at the start of a sentence. */
  name: string;
  /** What to call a cell in which this stands first; '' where it has nothing to say. */
  label: (content: C) => string;
  /** What it is, within a sentence: `the field “{sheet.title}”`. */
  inWords: (content: C) => string;
  /** Whether it is drawn with an outline of its own, so that a panel with nothing else needs none. */
  outlined?: true;
  /** Formulas besides the condition, which every content may have. */
  formulas?: (content: C) => FormulaPart[];
  /** Patterns of words from data. */
  patterns?: (content: C) => Path[];
  /** Keys of parameters that stand by themselves, outside a pattern. */
  parameters?: (content: C) => Path[];
  /** Ids of lettering roles of the office standard. */
  roles?: (content: C) => Path[];
  /** Ids of pens of the office standard. */
  pens?: (content: C) => Path[];
}

/** A kind of content with the schema of its documents. */
export const kindOfContent = <Schema extends z.ZodType>(
  schema: Schema,
  kind: KindOfContent<z.infer<Schema>>,
): KindOfContent<z.infer<Schema>> & { schema: Schema } => ({ schema, ...kind });

/** Words in quotation marks, shortened where they are long. */
export const quoted = (text: string): string => `“${text.length > 40 ? `${text.slice(0, 38)}…` : text}”`;
