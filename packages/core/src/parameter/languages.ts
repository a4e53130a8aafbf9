import type { Parameter } from './parameter';

/** The parameter by which a project chooses the languages of its captions. */
export const LANGUAGES_KEY = 'project.languages';

/** Languages that an office may have captions in. */
export const MOST_LANGUAGES = 6;

/** The choice of one language or two for the captions of a project; none for an office of one language. */
export function languagesParameter(languages: readonly string[]): Parameter | undefined {
  const [first = '', second] = languages;
  if (second === undefined) return undefined;
  const pairs = languages.flatMap((one) =>
    languages.filter((other) => other !== one).map((other) => `${one}, ${other}`),
  );
  return {
    key: LANGUAGES_KEY,
    name: 'Languages of captions',
    scope: 'project',
    computed: false,
    shipped: true,
    kind: 'choice',
    choices: [...languages, ...pairs],
    default: '',
    hint: `Captions stand in ${first} where nothing is chosen`,
    required: false,
    most: null,
    typical: first,
    longest: `${first}, ${second}`,
  };
}
