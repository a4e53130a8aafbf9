/** Names beyond these are counted. */
const MOST_NAMES = 4;

/** Some names, and how many more there are. */
export const namesInWords = (names: readonly string[]): string =>
  names.length <= MOST_NAMES
    ? names.join(', ')
    : `${names.slice(0, MOST_NAMES).join(', ')} and ${names.length - MOST_NAMES} more`;
