import { z } from 'zod';

export const SCOPES = ['office', 'project', 'set', 'sheet'] as const;
export type Scope = (typeof SCOPES)[number];

export const PARAMETER_KINDS = [
  'text',
  'long text',
  'number',
  'length',
  'area',
  'date',
  'choice',
  'tick',
  'picture',
  'outline',
] as const;
export type ParameterKind = (typeof PARAMETER_KINDS)[number];

const example = z.string().max(500);

/** Kinds whose values are drawn, and stand in no sentence. */
const DRAWN_KINDS: readonly ParameterKind[] = ['picture', 'outline'];

/** Whether values of a parameter are words, which stand in texts, tables and columns. */
export const isWords = ({ kind }: { kind: ParameterKind }): boolean => !DRAWN_KINDS.includes(kind);

const ownSchema = z.strictObject({
  /** Stays the same when the key changes, so that a rename is known as one. */
  id: z.string().min(1).max(40),
  key: z
    .string()
    .max(60)
    .regex(
      /^(office|project|set|sheet)\.[a-z][A-Za-z0-9]*$/,
      'a key is its scope and one word, such as project.fireClass or sheet.zone',
    ),
  name: z.string().trim().min(1, 'a parameter needs a name').max(60),
  kind: z.enum(PARAMETER_KINDS),
  /** For a choice: what can be chosen. */
  choices: z.array(z.string().trim().min(1).max(100)).max(100),
  /** What stands where nothing was entered. */
  default: example,
  hint: z.string().max(200),
  required: z.boolean(),
  /** Most characters; null for no limit of its own. */
  most: z.number().int().min(1, 'at least one character').max(2000, 'at most 2000 characters').nullable(),
  /** What try-on shows. */
  typical: example,
  longest: example,
});
export const ownParameterSchema = ownSchema.refine(
  // An outline is as long as a page of text: one for each sheet of a large project is more than a browser should load.
  ({ kind, key }) => kind !== 'outline' || /^(office|project)\./.test(key),
  { message: 'an outline is data of the office or of a project, such as project.sitePlan', path: ['kind'] },
);
/** A parameter that an office adds to those that ship. */
export type OwnParameter = z.infer<typeof ownParameterSchema>;

/** A parameter of the office's own as it begins: a text that need not be there. */
export const newParameter = (own: Pick<OwnParameter, 'id' | 'key' | 'name'>): OwnParameter => ({
  ...own,
  kind: 'text',
  choices: [],
  default: '',
  hint: '',
  required: false,
  most: null,
  typical: '',
  longest: '',
});

/** A named piece of data. */
export interface Parameter extends Omit<OwnParameter, 'id'> {
  scope: Scope;
  /** Worked out by Mendrel, never typed. */
  computed: boolean;
  shipped: boolean;
}

/** The scope that a key starts with. */
export const scopeOf = (key: string): Scope => SCOPES.find((scope) => key.startsWith(`${scope}.`)) ?? 'sheet';

/** An own parameter as one among all. */
export const asParameter = ({ id: _id, ...own }: OwnParameter): Parameter => ({
  ...own,
  scope: scopeOf(own.key),
  computed: false,
  shipped: false,
});

/** The value of a tick that is set. */
export const TICKED = 'yes';
/** The values that a tick may have. */
export const TICKS: readonly string[] = [TICKED, 'no'];

/** The values among which a parameter is chosen; undefined where anything can be entered. */
export const choicesOf = ({ kind, choices }: Pick<Parameter, 'kind' | 'choices'>): readonly string[] | undefined =>
  kind === 'choice' ? choices : kind === 'tick' ? TICKS : undefined;
