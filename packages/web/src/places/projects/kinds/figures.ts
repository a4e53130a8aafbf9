/** Figures that a kind of sheet may have in numbers; several kinds may share one. */
export const FIGURES = Array.from({ length: 10 }, (_, i) => i);
/** One that no usual kind has. */
export const FREE_FIGURE = 7;
