import { enteredRowsSchema } from '@mendrel/core';
import { z } from 'zod';
import { versionSchema } from './errors';

/** Rows of tables that are entered for a project, with the project's version. */
export const projectTablesSchema = z.object({ tables: enteredRowsSchema, version: versionSchema });
export type ProjectTables = z.infer<typeof projectTablesSchema>;

export const projectTablesChangeSchema = z.strictObject({ tables: enteredRowsSchema, version: versionSchema });
