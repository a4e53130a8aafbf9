/** Stands in for the decoder of WOFF2 files: the typefaces that ship are TrueType, and its dictionary is large. */
export default function decompress(): never {
  throw new Error('WOFF2 files are not read here; use TrueType or OpenType');
}
