/** Grounds of areas, by colour; greys, since most prints are black and white. */
export const GREYS: readonly (readonly [string, string])[] = [
  ['#f2f2f2', 'Pale grey'],
  ['#d9d9d9', 'Light grey'],
  ['#a6a6a6', 'Grey'],
  ['#404040', 'Dark grey'],
  ['#000000', 'Black'],
];

/** The choices with a colour that none of them is. */
export const withOwnColour = (
  choices: readonly (readonly [string, string])[],
  colour: string,
): readonly (readonly [string, string])[] =>
  choices.some(([key]) => key === colour) ? choices : [...choices, [colour, colour]];
