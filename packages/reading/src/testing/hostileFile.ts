/** A file that is made to do harm, or damaged, and how it has to end. */
export interface HostileFile {
  name: string;
  bytes: () => Buffer;
  /** `read`: it is read; words: it is refused with them; `any`: either, in time and within its memory. */
  answer: RegExp | 'read' | 'any';
}
