import { MOST_KIND_CHARACTERS, viewSchema } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, MOST_COUNT, versionSchema } from './errors';
import { valuesSchema } from './office';

/** Most sheets of a project, most views of a sheet, and most that wait in a project's tray: lists are never without end. */
export const MOST_SHEETS = 5000;
export const MOST_VIEWS = 100;
export const MOST_WAITING = 500;

const number = z.string().trim().min(1, 'a sheet needs a number').max(40);
const title = z.string().max(300);
/** The name of a kind of sheet of the office. */
const kind = z.string().trim().min(1, 'a sheet is of a kind').max(MOST_KIND_CHARACTERS);
const size = z.string().min(1).max(40);
const views = z
  .array(viewSchema)
  .max(MOST_VIEWS, `a sheet holds ${MOST_VIEWS} views at most. Put some of them on another sheet`);

/** What becomes of the tray of a project, where views wait that stand on no sheet. */
const trayChangeSchema = z.strictObject({
  /** Views that come into it. */
  put: z.array(viewSchema).max(MOST_WAITING, `a tray holds ${MOST_WAITING} views at most`).default([]),
  /** Ids of views that leave it. */
  take: z.array(viewSchema.shape.id).max(MOST_WAITING).default([]),
});
export type TrayChange = z.infer<typeof trayChangeSchema>;

/** A design of a sheet's own. */
const ownDesignSchema = z.object({
  id: idSchema,
  /** Null while its draft is followed. */
  revision: z.number().int().nullable(),
});

/** A design for a sheet of its own. */
export const ownDesignChangeSchema = z.strictObject({
  id: idSchema,
  /** The newest when it is left out. */
  revision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
});

/** A revision as a sheet has it, the oldest first. */
const sheetRevisionSchema = z.object({
  /** The revision of the project. */
  id: idSchema,
  code: z.string(),
  date: z.string(),
  description: z.string(),
  by: z.string(),
  checked: z.string(),
  withdrawn: z.boolean(),
});

/** An issue that a sheet went out with, the oldest first. */
const sheetIssueSchema = z.object({
  /** The issue of the project. */
  id: idSchema,
  date: z.string(),
  purpose: z.string(),
  set: z.string(),
  recipient: z.string(),
});

export const sheetSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  number,
  title,
  kind,
  size,
  /** Null while it is drawn like all of its kind. */
  design: ownDesignSchema.nullable(),
  values: valuesSchema,
  views,
  revisions: z.array(sheetRevisionSchema),
  /** Those that it went out with, the oldest first; withdrawn ones are left out. */
  issues: z.array(sheetIssueSchema),
  /** Whether it is another sheet than it was when it got its last revision. */
  changedSince: z.boolean(),
  version: versionSchema,
});
export type Sheet = z.infer<typeof sheetSchema>;

/** A new sheet; without a number it gets the proposed one. */
export const sheetCreateSchema = z.strictObject({
  number: number.optional(),
  title,
  kind,
  size,
});
export type SheetCreate = z.infer<typeof sheetCreateSchema>;

export const sheetChangeSchema = z.strictObject({
  number: number.optional(),
  title: title.optional(),
  kind: kind.optional(),
  size: size.optional(),
  /** Null for that of its kind. */
  design: ownDesignChangeSchema.nullable().optional(),
  values: valuesSchema.optional(),
  views: views.optional(),
  version: versionSchema,
});
export type SheetChange = z.infer<typeof sheetChangeSchema>;

/** Changes of several sheets and of the tray of their project: all are made or none. */
export const sheetsChangeSchema = z
  .strictObject({
    changes: z
      .array(sheetChangeSchema.extend({ id: idSchema }))
      .max(MOST_SHEETS)
      .default([]),
    /** New sheets, with ids that are chosen by whoever adds them. */
    added: z
      .array(
        z.strictObject({
          id: idSchema,
          number,
          title,
          kind,
          size,
          design: ownDesignChangeSchema.nullable().default(null),
          values: valuesSchema,
          views: views.default([]),
        }),
      )
      .max(MOST_SHEETS)
      .default([]),
    /** Sheets that go, into the bin. */
    deleted: z.array(idSchema).max(MOST_SHEETS).default([]),
    /** Whether views of sheets that go wait in the tray from then on. */
    keepViews: z.boolean().default(false),
    tray: trayChangeSchema.default({ put: [], take: [] }),
  })
  .refine(
    ({ changes, added, deleted, tray }) =>
      changes.length + added.length + deleted.length + tray.put.length + tray.take.length > 0,
    { message: 'nothing is to be changed' },
  );
export type SheetsChange = z.infer<typeof sheetsChangeSchema>;
/** The same as it is sent: what is left out stays as it is. */
export type SheetsWish = z.input<typeof sheetsChangeSchema>;
export type NewSheet = SheetsChange['added'][number];

/** What became of changes of several sheets. */
export interface SheetsChanged {
  /** Those that were changed or added, as they are now. */
  sheets: Sheet[];
  /** Under what those that were deleted can be restored. */
  bin: string | null;
}

export const sheetKindSchema = kind;
