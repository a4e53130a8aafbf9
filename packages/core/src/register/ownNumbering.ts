/** A sheet as far as numbering looks at it; its kind where that is known. */
export interface NumberedSheet {
  number: string;
  kind?: string;
}

/** A number taken apart: what is no figure, and the figures between. */
interface Parts {
  /** The number with # for every run of figures. */
  form: string;
  figures: number[];
  widths: number[];
}

function partsOf(number: string): Parts {
  const runs = number.match(/\d+/g) ?? [];
  return { form: number.replace(/\d+/g, '#'), figures: runs.map(Number), widths: runs.map((run) => run.length) };
}

/** A scheme shows in this part of all numbers, and in so many of them at the least. */
const MOSTLY = 0.5;
const FEWEST = 2;
/** A run of figures longer than this is no counting. */
const LONGEST = 6;

/** The form that most of a project's numbers have, such as A#.# or Plan #. */
function formOf(sheets: readonly NumberedSheet[]): string | undefined {
  const counts = new Map<string, number>();
  for (const { number } of sheets) {
    const { form, widths } = partsOf(number);
    if (widths.length > 0 && widths.every((width) => width <= LONGEST)) counts.set(form, (counts.get(form) ?? 0) + 1);
  }
  const [form, count] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  return form !== undefined && count !== undefined && count >= FEWEST && count >= MOSTLY * sheets.length
    ? form
    : undefined;
}

/**
 * The next number by the scheme that a project's own numbers follow: after A1.1, A2.1 and A3.1 another sheet of the kind of A1.1 is
 * A1.2, and the first of a new kind is A4.1. Undefined where they follow none.
 */
export function nextByOwnScheme(sheets: readonly NumberedSheet[], kind: string): string | undefined {
  const form = formOf(sheets);
  if (form === undefined) return undefined;
  const all = sheets.filter(({ number }) => partsOf(number).form === form);
  const own = all
    .filter((sheet) => sheet.kind === undefined || sheet.kind === kind)
    .map((sheet) => partsOf(sheet.number));
  const others = all.map((sheet) => partsOf(sheet.number));
  const taken = new Set(sheets.map(({ number }) => number));
  const widths = others[0]?.widths.map((_, i) => Math.max(...others.map((each) => each.widths[i] ?? 0))) ?? [];
  const padded = others.some(({ figures, widths: runs }) => runs.some((width, i) => width > String(figures[i]).length));
  const written = (figures: readonly number[]): string => {
    const runs = figures.map((figure, i) => String(figure).padStart(padded ? (widths[i] ?? 0) : 0, '0'));
    return form.replace(/#/g, () => runs.shift() ?? '');
  };
  const last = own.length > 0 ? largest(own) : largest(others);
  // The first of a new kind begins a series of its own, where there are series.
  const series = last.length - 2;
  const first = own.length > 0 || series < 0;
  let figures = first
    ? last.with(-1, (last.at(-1) ?? 0) + 1)
    : last.with(series, Math.max(...others.map((each) => each.figures[series] ?? 0)) + 1).with(-1, leastLast(others));
  while (taken.has(written(figures))) figures = figures.with(-1, (figures.at(-1) ?? 0) + 1);
  return written(figures);
}

/** The figures of the last number, by its runs from the left. */
const largest = (parts: readonly Parts[]): number[] =>
  parts
    .map(({ figures }) => figures)
    .reduce((most, figures) => {
      const i = figures.findIndex((each, k) => each !== most[k]);
      return i >= 0 && (figures[i] ?? 0) > (most[i] ?? 0) ? figures : most;
    });

/** With what the series begin: with 1, or with 0. */
const leastLast = (parts: readonly Parts[]): number => Math.min(1, ...parts.map(({ figures }) => figures.at(-1) ?? 1));
