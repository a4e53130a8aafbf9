/** What databases and files cannot keep as text: the character U+0000, and halves of surrogate pairs. */
const UNSTORABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
const EVERY_UNSTORABLE = new RegExp(UNSTORABLE, 'g');

/** Whether every character of a text can be kept. */
export const isStorable = (text: string): boolean => !UNSTORABLE.test(text);

/** A text in which what cannot be kept is replaced by U+FFFD, as decoders do. */
export const storable = (text: string): string => (isStorable(text) ? text : text.replace(EVERY_UNSTORABLE, '\ufffd'));
