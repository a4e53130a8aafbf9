/** Puts group codes and values together and hands out handles. */
export class Pairs {
  private lines: string[] = [];
  private lastHandle = 0x20;

  add(code: number, value: string | number): this {
    const inReals = (code >= 10 && code < 60) || (code >= 140 && code < 150);
    this.lines.push(String(code).padStart(3), typeof value === 'number' && inReals ? real(value) : String(value));
    return this;
  }

  point(code: number, x: number, y: number, z?: number): this {
    this.add(code, x).add(code + 10, y);
    return z === undefined ? this : this.add(code + 20, z);
  }

  handle(): string {
    return (++this.lastHandle).toString(16).toUpperCase();
  }

  /** The smallest handle that is still free. */
  seed(): string {
    return (this.lastHandle + 1).toString(16).toUpperCase();
  }

  splice(other: Pairs): this {
    this.lines = this.lines.concat(other.lines);
    return this;
  }

  separate(): Pairs {
    const part = new Pairs();
    part.handle = () => this.handle();
    return part;
  }

  text(): string {
    return `${this.lines.join('\n')}\n`;
  }
}

function real(value: number): string {
  const rounded = Math.round(value * 1e9) / 1e9;
  const text = String(rounded);
  return /[.e]/.test(text) ? text : `${text}.0`;
}

/** Line weights that DXF can hold, in hundredths of a millimetre. */
const LINE_WEIGHTS = [
  0, 5, 9, 13, 15, 18, 20, 25, 30, 35, 40, 50, 53, 60, 70, 80, 90, 100, 106, 120, 140, 158, 200, 211,
];

/** The held line weight nearest to a width in mm. */
export function dxfLineWeight(width: number): number {
  const wanted = width * 100;
  return LINE_WEIGHTS.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best), 25);
}

/** Text as a DXF string: characters beyond ASCII by number, line ends as spaces. */
export function dxfText(text: string): string {
  let out = '';
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code < 32) out += ' ';
    else if (code < 127) out += text[i];
    else out += `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`;
  }
  return out;
}

/** Names of layers, blocks and styles may not hold these signs. */
export const dxfName = (name: string): string =>
  dxfText(name)
    .replace(/[<>/\\":;?*|=`,]/g, '_')
    .slice(0, 200) || '_';

/** A colour as one number, red in the highest byte; undefined for black, which is what layers have anyway. */
export const trueColour = (colour: string | undefined): number | undefined =>
  colour === undefined || colour === '#000000' ? undefined : Number.parseInt(colour.slice(1), 16);
