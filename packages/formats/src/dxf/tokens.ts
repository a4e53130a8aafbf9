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

const [LF, CR, SPACE, TAB, MINUS, PLUS, DOT] = [10, 13, 32, 9, 45, 43, 46];
/** Lines are looked through byte by byte for this many bytes. */
const NEAR = 64;
/** Names of these signs are the same in every encoding. */
const PLAIN = /^[\u0020-\u007e]{1,64}$/;
/** Names that are remembered. */
const LATELY = 8;
const POWERS = Array.from({ length: 23 }, (_, i) => 10 ** i);
const UTF8 = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });

/**
 * Reads the pairs of a DXF file one after the other: a group code on one line, its value on the next. Works on the
 * bytes, and makes strings only of the values that are asked for.
 */
export class DxfTokens {
  /** Group code of the current pair. */
  code = -1;
  /** Line of the current pair's code, from 1. */
  line = 0;
  private at = 0;
  private start = 0;
  private end = 0;
  private lines = 0;
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
    if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) this.at = 3;
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
    if (this.at >= this.bytes.length) return false;
    this.line = this.lines + 1;
    this.code = this.readCode();
    if (this.at >= this.bytes.length) {
      throw new DxfError(this.line, `the file is cut off: group code ${this.code} has no value`);
    }
    this.readLine();
    return true;
  }

  /** Whether the current pair has this group code. */
  has(code: number): boolean {
    return this.code === code;
  }

  /** Makes the next call of `next` give the current pair again. */
  hold(): void {
    this.held = true;
  }

  /** The group code of a line; nearly all are a few digits after spaces, which are read as they are passed over. */
  private readCode(): number {
    const { bytes } = this;
    let i = this.at;
    while (bytes[i] === SPACE) i++;
    const from = i;
    let value = 0;
    let byte = bytes[i] ?? LF;
    while (byte >= 48 && byte <= 57) {
      value = value * 10 + byte - 48;
      byte = bytes[++i] ?? LF;
    }
    const digits = i - from;
    if (byte === CR) byte = bytes[++i] ?? LF;
    if (digits > 0 && digits <= 5 && byte === LF) {
      this.at = i + 1;
      this.lines++;
      return value;
    }
    this.readLine();
    return this.groupCode();
  }

  private readLine(): void {
    const { bytes } = this;
    const from = this.at;
    // Lines are short: asking for the next line feed by a call of its own would take longer than looking for it.
    let i = from;
    const near = Math.min(from + NEAR, bytes.length);
    while (i < near && bytes[i] !== LF) i++;
    if (i === near && near < bytes.length) {
      i = bytes.indexOf(LF, i);
      if (i < 0) i = bytes.length;
    }
    this.start = from;
    this.end = i > from && bytes[i - 1] === CR ? i - 1 : i;
    this.at = i + 1;
    this.lines++;
  }

  private groupCode(): number {
    const { bytes } = this;
    let i = this.start;
    let end = this.end;
    while (i < end && (bytes[i] === SPACE || bytes[i] === TAB)) i++;
    while (end > i && (bytes[end - 1] === SPACE || bytes[end - 1] === TAB)) end--;
    const negative = bytes[i] === MINUS;
    if (negative) i++;
    let value = 0;
    if (i >= end || end - i > 5) this.notACode();
    for (; i < end; i++) {
      const digit = (bytes[i] ?? 0) - 48;
      if (digit < 0 || digit > 9) this.notACode();
      value = value * 10 + digit;
    }
    return negative ? -value : value;
  }

  private notACode(): never {
    const shown = this.decoder
      .decode(this.bytes.subarray(this.start, Math.min(this.end, this.start + 20)))

      .replace(/[\u0000-\u001f\u007f-\u009f]/g, '�');
    throw new DxfError(this.line, `"${shown}" is not a group code; this is not a DXF file or it is damaged here`);
  }

  /** The value as text. */
  text(): string {
    const { bytes, start, end } = this;
    // Short values without special letters, which is nearly all of them, are put together without the decoder.
    if (end - start < 24) {
      let text = '';
      for (let i = start; i < end; i++) {
        const byte = bytes[i] ?? 0;
        if (byte > 126) return this.decoded(bytes.subarray(start, end));
        text += String.fromCharCode(byte);
      }
      return text;
    }
    return this.decoded(bytes.subarray(start, end));
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
    let { end } = this;
    while (end > start && bytes[end - 1] === SPACE) end--;
    if (end - start !== word.length) return false;
    for (let i = 0; i < word.length; i++) if (bytes[start + i] !== word.charCodeAt(i)) return false;
    return true;
  }

  /** The value as a finite number. @throws DxfError with the line */
  number(): number {
    const { bytes, end } = this;
    let i = this.start;
    while (i < end && (bytes[i] === SPACE || bytes[i] === TAB)) i++;
    const negative = bytes[i] === MINUS;
    if (negative || bytes[i] === PLUS) i++;
    let digits = 0;
    let count = 0;
    let fraction = 0;
    let seenDot = false;
    let seenDigit = false;
    for (; i < end; i++) {
      const byte = bytes[i] ?? 0;
      if (byte >= 48 && byte <= 57) {
        seenDigit = true;
        digits = digits * 10 + (byte - 48);
        if (digits > 0) count++;
        if (seenDot) fraction++;
      } else if (byte === DOT && !seenDot) seenDot = true;
      else break;
    }
    // Up to 15 digits and powers of ten up to 22 divide exactly rounded; everything else goes the long way.
    if (i === end && seenDigit && count <= 15 && fraction <= 22) {
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
