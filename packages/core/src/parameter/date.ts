/** The first letters of the months' names in English, German, French and Spanish: as many as tell them apart. */
const MONTHS: readonly RegExp[] = [
  /^(jan|ene)/i,
  /^(feb|f[ée]v)/i,
  /^(mar|m[äa]r)/i,
  /^(apr|avr|abr)/i,
  /^(may|mai)/i,
  /^(jun|juin)/i,
  /^(jul|juil)/i,
  /^(aug|ao[uû]t?|ago)/i,
  /^sep/i,
  /^(oct|okt)/i,
  /^nov/i,
  /^(dec|dez|d[ée]c|dic)/i,
];
const NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

interface Day {
  year: number;
  month: number;
  day: number;
}

const YEAR_FIRST = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/;
const FIGURES = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})$/;
const DAY_FIRST = /^(\d{1,2})(?:\.|st|nd|rd|th)?[\s-]+(\p{L}{3,12})\.?,?[\s-]+(\d{4}|\d{2})$/u;
const MONTH_FIRST = /^(\p{L}{3,12})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/u;
const MONTH_ALONE = /^(\p{L}{3,12})\.?,?\s+(\d{4})$/u;

const fullYear = (text: string): number => (text.length === 2 ? 2000 + Number(text) : Number(text));

const monthOf = (name: string): number | undefined => {
  const index = MONTHS.findIndex((each) => each.test(name));
  return index < 0 ? undefined : index + 1;
};

/** The days a text may mean: 3/4/2031 is the third of April here and the fourth of March there. */
function readings(text: string): Day[] {
  const first = YEAR_FIRST.exec(text);
  if (first) return [{ year: Number(first[1]), month: Number(first[2]), day: Number(first[3]) }];
  const figures = FIGURES.exec(text);
  if (figures) {
    const year = fullYear(figures[4] ?? '');
    const [one, two] = [Number(figures[1]), Number(figures[3])];
    const days = [{ year, month: two, day: one }];
    return figures[2] === '.' ? days : [...days, { year, month: one, day: two }];
  }
  const named = (name: string | undefined, day: string, year: string | undefined): Day[] => {
    const month = monthOf(name ?? '');
    return month === undefined ? [] : [{ year: fullYear(year ?? ''), month, day: Number(day) }];
  };
  const dayFirst = DAY_FIRST.exec(text);
  if (dayFirst) return named(dayFirst[2], dayFirst[1] ?? '', dayFirst[3]);
  const monthFirst = MONTH_FIRST.exec(text);
  if (monthFirst) return named(monthFirst[1], monthFirst[2] ?? '', monthFirst[3]);
  const alone = MONTH_ALONE.exec(text);
  return alone ? named(alone[1], '1', alone[2]) : [];
}

function inCalendar({ year, month, day }: Day): boolean {
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}

/** Forms that an office may choose for the dates on its sheets; `as entered` leaves them alone. */
export const DATE_FORMS = [
  'as entered',
  '2031-04-02',
  '2 Apr 2031',
  '2 April 2031',
  '02.04.2031',
  '02/04/2031',
  '04/02/2031',
] as const;
export type DateForm = (typeof DATE_FORMS)[number];

/**
 * A date in an office's form. What is no day of the calendar stays as it is, and so does one that may mean two days, such as
 * 3/4/2031: what it means is not known.
 */
export function dateIn(form: DateForm, text: string): string {
  if (form === 'as entered') return text;
  const days = readings(text.trim()).filter(inCalendar);
  const [first] = days;
  if (!first || MONTH_ALONE.test(text.trim())) return text;
  const same = days.every(({ day, month }) => day === first.day && month === first.month);
  if (!same) return text;
  const [day, month] = [String(first.day).padStart(2, '0'), String(first.month).padStart(2, '0')];
  const year = String(first.year);
  const name = NAMES[first.month - 1] ?? '';
  switch (form) {
    case '2031-04-02':
      return `${year}-${month}-${day}`;
    case '2 Apr 2031':
      return `${first.day} ${name.slice(0, 3)} ${year}`;
    case '2 April 2031':
      return `${first.day} ${name} ${year}`;
    case '02.04.2031':
      return `${day}.${month}.${year}`;
    case '02/04/2031':
      return `${day}/${month}/${year}`;
    case '04/02/2031':
      return `${month}/${day}/${year}`;
  }
}

/**
 * What keeps a text from being a date; undefined for one. Dates may be written as offices write them: 2031-04-02,
 * 02.04.2031, 2/4/31, 2 April 2031, April 2, 2031 or April 2031. The day has to be in the calendar.
 */
export function dateProblem(text: string): 'form' | { noSuchDay: string } | undefined {
  const days = readings(text.trim());
  const [first] = days;
  if (!first) return 'form';
  if (days.some(inCalendar)) return undefined;
  const month = NAMES[first.month - 1];
  return { noSuchDay: month === undefined ? text.trim() : `${first.day} ${month} ${first.year}` };
}
