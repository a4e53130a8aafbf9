/** Pictures of sheets in the register, in px. */
export const PICTURE = { small: { width: 50, height: 36 }, large: { width: 200, height: 142 } } as const;
/** Rows are as high as their pictures, and a little more. */
export const ROW_HEIGHTS = { small: PICTURE.small.height + 10, large: PICTURE.large.height + 10 } as const;
