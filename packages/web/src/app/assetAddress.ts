/** Where the server gives out a file that is kept under its SHA-256; what is there never changes. */
export const assetAddress = (asset: string): string => `/api/assets/${asset}`;
