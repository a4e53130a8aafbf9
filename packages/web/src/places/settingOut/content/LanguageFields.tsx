import type { OfficeStandard, OtherLanguages } from '@mendrel/core';
import { Typed } from '../../../app/Typed';

interface Props {
  standard: OfficeStandard;
  /** What the words are, at the start of a sentence: `Title`. */
  what: string;
  words: OtherLanguages | undefined;
  onSet: (words: OtherLanguages | undefined) => void;
}

/** Fixed words in the other languages of the office, a field each; none for an office of one language. */
export function LanguageFields({ standard, what, words = {}, onSet }: Props) {
  const [, ...others] = standard.languages ?? [];
  return others.map((language) => (
    <Typed
      key={language}
      label={`${what} in ${language}`}
      value={words[language] ?? ''}
      onSet={(text) => {
        const next = Object.fromEntries(
          Object.entries({ ...words, [language]: text }).filter(([, each]) => each !== ''),
        );
        onSet(Object.keys(next).length === 0 ? undefined : next);
      }}
    />
  ));
}
