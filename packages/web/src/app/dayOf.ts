const twoFigures = (figure: number): string => String(figure).padStart(2, '0');

/** A day as it is usual to begin with: year, month, day. */
export const dayOf = (date: Date): string =>
  [date.getFullYear(), twoFigures(date.getMonth() + 1), twoFigures(date.getDate())].join('-');
