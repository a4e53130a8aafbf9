/** A number with what is counted, such as `1 sheet` or `12 sheets`. @param many the word for more than one, or for none */
export const counted = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
