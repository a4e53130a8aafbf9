/** Grounds of groups on a plan, which is light in both schemes: told apart by every kind of sight (after Okabe and Ito). */
const GROUNDS = ['#56b4e9', '#e69f00', '#009e73', '#cc79a7', '#f0e442', '#0072b2', '#d55e00', '#999999'] as const;

/** The ground of a group by its place; those after the eighth begin anew. */
export const groundOf = (place: number): string => GROUNDS[place % GROUNDS.length] ?? GROUNDS[0];
