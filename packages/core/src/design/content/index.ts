import { z } from 'zod';
import { pictureSchema } from './picture';
import { symbolSchema } from './symbol';
import { tableSchema } from './table';
import { captionSchema, fieldSchema, notesSchema } from './text';

export * from './picture';
export * from './symbol';
export * from './table';
export * from './text';

/** One thing that stands in a cell. */
export const contentSchema = z.discriminatedUnion('kind', [
  captionSchema,
  fieldSchema,
  notesSchema,
  pictureSchema,
  tableSchema,
  symbolSchema,
]);
export type Content = z.infer<typeof contentSchema>;
export type ContentKind = Content['kind'];
