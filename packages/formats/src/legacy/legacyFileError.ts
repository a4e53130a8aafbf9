/** Why a legacy drawing cannot be read, in words for the person who brought it. */
export class LegacyFileError extends Error {
  override name = 'LegacyFileError';
}
