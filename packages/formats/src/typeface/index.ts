export { FontFileError, lettersOf, readTypeface, readTypefaces, typefaceName } from './fontkitTypeface';
