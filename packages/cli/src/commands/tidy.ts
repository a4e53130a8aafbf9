/** A length in mm without the last digits that arithmetic leaves behind. */
export const tidy = (value: number): number => Math.round(value * 1e6) / 1e6;
