/** A typeface that ships with Mendrel: its name in roles and in files, and its file in ttf/. */
export interface ShippedTypeface {
  name: string;
  file: string;
  licence: string;
}

/** The lettering typefaces. All are under the SIL Open Font License 1.1; the licence text lies beside the files. */
export const SHIPPED_TYPEFACES: readonly ShippedTypeface[] = [
  { name: 'Barlow Semi Condensed', file: 'BarlowSemiCondensed-Regular.ttf', licence: 'OFL-1.1' },
  { name: 'Barlow Semi Condensed SemiBold', file: 'BarlowSemiCondensed-SemiBold.ttf', licence: 'OFL-1.1' },
  { name: 'Public Sans', file: 'PublicSans-Regular.ttf', licence: 'OFL-1.1' },
  { name: 'Public Sans SemiBold', file: 'PublicSans-SemiBold.ttf', licence: 'OFL-1.1' },
];
