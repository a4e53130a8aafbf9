/** An error in a DXF file with the line it was found at, counted from 1. */
export class DxfError extends Error {
  override name = 'DxfError';
  constructor(
    readonly line: number,
    message: string,
  ) {
    super(`line ${line}: ${message}`);
  }
}

const [LF, CR, SPACE, TAB, MINUS, PLUS, DOT, ZERO, NINE] = [10, 13, 32, 9, 45, 43, 46, 48, 57];
const UNKNOWN = -1;
/** A byte of which nothing is left: the end of the file ends its last line. */
const END = LF;
/** Lines are looked through byte by byte for this many bytes. */
const NEAR = 64;
/** Texts of up to this many bytes are put together from letters. */
const SHORT = 24;
/** Digits of a group code. */
const MOST_DIGITS = 5;
/** Names of these signs are the same in every encoding. */
const PLAIN = /^[\u0020-\u007e]{1,64}$/;
/** Names that are remembered. */
const LATELY = 8;
const POWERS = Array.from({ length: 23 }, (_, i) => 10 ** i);
const UTF8 = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });

/**
 * Reads the pairs of a DXF file one after the other: a group code on one line, its value on the next. Works on the bytes,
 * and makes strings only of the values that are asked for. Where a value ends is found by whoever reads it, so that numbers
 * are gone through once.
 */
export class DxfTokens {
  /** Group code of the current pair. */
  code = -1;
  /** Line of the current pair's code, from 1. */
  line = -1;
  /** Where the current pair's value begins and ends, and where the next pair begins; or UNKNOWN. */
  private start = 0;
  private end = UNKNOWN;
  private after = 0;
  private held = false;
  private readonly lately: string[] = [];
  private turn = 0;
  private decoder: InstanceType<typeof TextDecoder>;

  constructor(
    private readonly bytes: Uint8Array,
    encoding = 'windows-1252',
  ) {
    this.decoder = new TextDecoder(encoding);
    if (bytes.length === 0) throw new DxfError(1, 'the file is empty');
    // A byte order mark before the first code.
    if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) this.after = 3;
  }

  /** Texts are in this encoding from here on. */
  setEncoding(encoding: string): void {
    this.decoder = new TextDecoder(encoding);
  }

  /** Goes to the next pair. @returns false at the end of the file */
  next(): boolean {
    if (this.held) {
      this.held = false;
      return true;
    }
    const { bytes } = this;
    if (this.after === UNKNOWN) this.findEnd();
    let i = this.after;
    if (i >= bytes.length) return false;
    this.line += 2;
    // Nearly all codes are a few digits after spaces, which are read as they are passed over.
    while (bytes[i] === SPACE) i++;
    const from = i;
    let code = 0;
    let byte = bytes[i] ?? END;
    while (byte >= ZERO && byte <= NINE) {
      code = code * 10 + byte - ZERO;
      byte = bytes[++i] ?? END;
    }
    const digits = i - from;
    if (byte === CR) byte = bytes[++i] ?? END;
    if (digits > 0 && digits <= MOST_DIGITS && byte === LF) {
      this.code = code;
      this.start = i + 1;
    } else this.readOddCode();
    if (this.start >= bytes.length) {
      throw new DxfError(this.line, `the file is cut off: group code ${this.code} has no value`);
    }
    this.end = this.after = UNKNOWN;
    return true;
  }

  /** Whether the current pair has this group code. */
  has(code: number): boolean {
    return this.code === code;
  }

  /** The part of the file that was read, from 0 to 1. */
  get part(): number {
    return this.start / this.bytes.length;
  }

  /** Makes the next call of `next` give the current pair again. */
  hold(): void {
    this.held = true;
  }

  /** Finds where the line at `start` ends. */
  private findEnd(): void {
    const { bytes, start } = this;
    // Lines are short: asking for the next line feed by a call of its own would take longer than looking for it.
    let i = start;
    const near = Math.min(start + NEAR, bytes.length);
    while (i < near && bytes[i] !== LF) i++;
    if (i === near && near < bytes.length) {
      i = bytes.indexOf(LF, i);
      if (i < 0) i = bytes.length;
    }
    this.end = i > start && bytes[i - 1] === CR ? i - 1 : i;
    this.after = i + 1;
  }

  /** Reads a group code that has a sign, or tabs or spaces around it. @throws DxfError for what is none */
  private readOddCode(): void {
    const { bytes } = this;
    this.start = this.after;
    this.findEnd();
    let i = this.start;
    let { end } = this;
    while (i < end && (bytes[i] === SPACE || bytes[i] === TAB)) i++;
    while (end > i && (bytes[end - 1] === SPACE || bytes[end - 1] === TAB)) end--;
    const negative = bytes[i] === MINUS;
    if (negative) i++;
    let value = 0;
    if (i >= end || end - i > MOST_DIGITS) this.notACode();
    for (; i < end; i++) {
      const digit = (bytes[i] ?? 0) - ZERO;
      if (digit < 0 || digit > 9) this.notACode();
      value = value * 10 + digit;
    }
    this.code = negative ? -value : value;
    this.start = this.after;
  }

  private notACode(): never {
    const shown = this.decoder
      .decode(this.bytes.subarray(this.start, Math.min(this.end, this.start + 20)))
      // What no screen shows, and terminals obey.
      .replace(/[\u0000-\u001f\u007f-\u009f]/g, '�');
    throw new DxfError(this.line, `"${shown}" is not a group code; this is not a DXF file or it is damaged here`);
  }

  /** The value as text. */
  text(): string {
    if (this.end === UNKNOWN) this.findEnd();
    const { bytes, start, end } = this;
    // Short values without special letters, which is nearly all of them, are put together without the decoder: from pieces,
    // for a text that grows letter by letter takes up memory for each of them.
    if (end - start > SHORT) return this.decoded(bytes.subarray(start, end));
    for (let i = start; i < end; i++) if ((bytes[i] ?? 0) > 126) return this.decoded(bytes.subarray(start, end));
    let text = '';
    let i = start;
    for (; i + 8 <= end; i += 8) text += eightLetters(bytes, i);
    if (i + 4 <= end) {
      text += fourLetters(bytes, i);
      i += 4;
    }
    for (; i < end; i++) text += String.fromCharCode(bytes[i] ?? 0);
    return text;
  }

  /**
   * The value as text without spaces around it, for names that come again and again: those that were read lately are not
   * put together anew.
   */
  name(): string {
    for (const known of this.lately) if (this.is(known)) return known;
    const name = this.text().trim();
    if (PLAIN.test(name)) {
      this.lately[this.turn] = name;
      this.turn = (this.turn + 1) % LATELY;
    }
    return name;
  }

  /**
   * Programs write UTF-8 into files that claim an older code page; text of a code page is hardly ever sound UTF-8 by chance,
   * so what is sound is read so.
   */
  private decoded(value: Uint8Array): string {
    try {
      return UTF8.decode(value);
    } catch {
      return this.decoder.decode(value);
    }
  }

  /** Whether the value is this ASCII word. */
  is(word: string): boolean {
    const { bytes, start } = this;
    for (let i = 0; i < word.length; i++) if (bytes[start + i] !== word.charCodeAt(i)) return false;
    let i = start + word.length;
    while (bytes[i] === SPACE) i++;
    if (bytes[i] === CR) i++;
    return (bytes[i] ?? END) === LF;
  }

  /** The value as a finite number. @throws DxfError with the line */
  number(): number {
    const { bytes } = this;
    let i = this.start;
    let byte = bytes[i] ?? END;
    while (byte === SPACE || byte === TAB) byte = bytes[++i] ?? END;
    const negative = byte === MINUS;
    if (negative || byte === PLUS) byte = bytes[++i] ?? END;
    const from = i;
    let digits = 0;
    while (byte >= ZERO && byte <= NINE) {
      digits = digits * 10 + (byte - ZERO);
      byte = bytes[++i] ?? END;
    }
    let count = i - from;
    let fraction = 0;
    if (byte === DOT) {
      const dot = i;
      byte = bytes[++i] ?? END;
      while (byte >= ZERO && byte <= NINE) {
        digits = digits * 10 + (byte - ZERO);
        byte = bytes[++i] ?? END;
      }
      fraction = i - dot - 1;
      count += fraction;
    }
    if (byte === CR) byte = bytes[++i] ?? END;
    // Up to 15 digits and powers of ten up to 22 divide exactly rounded; everything else goes the long way.
    if (byte === LF && count > 0 && count <= 15) {
      this.after = i + 1;
      const value = digits / (POWERS[fraction] ?? 1);
      return negative ? -value : value;
    }
    return this.slowNumber();
  }

  private slowNumber(): number {
    const text = this.text().trim();
    const value = text === '' ? NaN : Number(text);
    if (!Number.isFinite(value)) {
      throw new DxfError(this.line + 1, `"${text.slice(0, 30)}" is not a number (group code ${this.code})`);
    }
    return value;
  }
}

const at = (bytes: Uint8Array, i: number): number => bytes[i] ?? 0;

const fourLetters = (bytes: Uint8Array, i: number): string =>
  String.fromCharCode(at(bytes, i), at(bytes, i + 1), at(bytes, i + 2), at(bytes, i + 3));

function eightLetters(bytes: Uint8Array, i: number): string {
  return String.fromCharCode(
    at(bytes, i),
    at(bytes, i + 1),
    at(bytes, i + 2),
    at(bytes, i + 3),
    at(bytes, i + 4),
    at(bytes, i + 5),
    at(bytes, i + 6),
    at(bytes, i + 7),
  );
}
