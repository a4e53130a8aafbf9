import type { Finding, SheetDifference } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, MOST_COUNT, versionSchema } from './errors';

/** Issues of one project; the list of them is never cut. */
export const MOST_ISSUES = 1000;
/** Recipients of one issue. */
export const MOST_RECIPIENTS = 100;

const recipientSchema = z
  .strictObject({
    firm: z.string().trim().max(120),
    person: z.string().trim().max(120),
    copies: z.string().trim().max(60),
  })
  .refine(({ firm, person }) => firm !== '' || person !== '', { message: 'a recipient needs a firm or a person' });

const words = {
  /** A day, as it is typed; where it is shown it takes the office's form. */
  date: z.string().trim().min(1, 'an issue needs a date').max(40),
  purpose: z.string().trim().min(1, 'say what it is issued for').max(120),
  recipients: z.array(recipientSchema).max(MOST_RECIPIENTS),
  remarks: z.string().trim().max(1000),
};

/** Sheets of a project as they went out: none of them changes any more. */
export const issueSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  /** Counted from 1 within its project. */
  number: z.number().int(),
  ...words,
  /** The name of the set that went out. */
  set: z.string(),
  sheets: z.number().int(),
  /** The design of its transmittal sheet; null where it has none. */
  transmittal: z.object({ designId: idSchema.nullable(), size: z.string() }).nullable(),
  /** Why it was withdrawn; null while it stands. */
  withdrawn: z.string().nullable(),
  madeAt: z.string(),
  version: versionSchema,
});
export type Issue = z.infer<typeof issueSchema>;

const wish = {
  ...words,
  /** The set that goes out; null for all sheets of the register. */
  setId: idSchema.nullable(),
  /** What is drawn to go with it; null for nothing. Without a revision the newest of the design. */
  transmittal: z
    .strictObject({
      designId: idSchema,
      designRevision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
      size: z.string().min(1).max(40),
    })
    .nullable(),
};

export const issueWishSchema = z.strictObject(wish);
export type IssueWish = z.infer<typeof issueWishSchema>;

export const issueCreateSchema = z.strictObject({
  /** Chosen by whoever asks: asked for twice, it is made once. */
  id: idSchema,
  ...wish,
});
export type IssueCreate = z.infer<typeof issueCreateSchema>;

export const issueChangeSchema = z.strictObject({
  /** Why it is withdrawn, or null to let it stand again. */
  withdrawn: z.string().trim().min(1, 'say why it is withdrawn').max(500).nullable(),
  version: versionSchema,
});
export type IssueChange = z.infer<typeof issueChangeSchema>;

/** Sheets with something to mend that a check tells one by one; of more the worst ones. */
export const MOST_TOLD = 200;

/** What would go out. */
export interface IssueCheck {
  sheets: number;
  /** With something wrong, and with something missing. */
  errors: number;
  gaps: number;
  /** Changed since their last revision. */
  changed: number;
  /** Whether the office lets it go out as it is. */
  blocked: boolean;
  /** The worst first; the transmittal sheet has no id. */
  told: { id: string | null; number: string; title: string; findings: Finding[] }[];
}

/** A sheet of an issue. */
export interface IssuedSheet {
  /** From 0 on, in the order in which they went out. */
  position: number;
  number: string;
  title: string;
  size: string;
  revision: string;
  /** SHA-256 of all that it was drawn from and of its drawing. */
  hash: string;
}

/** What is another in an issue than in one before. */
export interface IssueComparison {
  same: number;
  sheets: {
    kind: 'added' | 'gone' | 'changed';
    /** Its positions in both issues; null where it is not in one. */
    before: number | null;
    after: number | null;
    number: string;
    title: string;
    differences: SheetDifference[];
  }[];
}
