import type { Content, ContentKind, ContentOf } from '../../design';
import { inChosenLanguages } from '../../design';
import { fillPattern } from '../../parameter';
import type { TextKind } from './kind';

/** The kinds that are set as text, captions before what comes from data. */
export const TEXT_KINDS = {
  caption: {
    words: ({ text, inLanguages }, values) => ({
      text: inChosenLanguages(text, inLanguages, values),
      missing: [],
      spared: [],
    }),
    policy: ({ fit }) => fit,
    rank: 0,
  },
  field: {
    words: ({ pattern }, values) => fillPattern(pattern, values),
    policy: ({ fit }) => fit,
    rank: 1,
    pattern: ({ pattern }) => pattern,
  },
  // Notes wrap as far as there is room and keep their height.
  notes: {
    words: ({ text }) => ({ text, missing: [], spared: [] }),
    policy: () => ({ lines: 400, condense: 1, steps: 0 }),
    rank: 2,
    takesWidth: true,
  },
} satisfies { [Kind in ContentKind]?: TextKind<ContentOf<Kind>> };

export type TextContentKind = keyof typeof TEXT_KINDS;
export type TextContent = ContentOf<TextContentKind>;

/** How a text is set. */
export const textKindOf = <C extends TextContent>({ kind }: C): TextKind<C> =>
  // That an entry goes with the contents of its own kind is true by its name, which the compiler does not follow.
  TEXT_KINDS[kind] as TextKind<never> as TextKind<C>;

/** Whether a content is set as text. */
export const isText = (content: Content): content is TextContent => Object.hasOwn(TEXT_KINDS, content.kind);
