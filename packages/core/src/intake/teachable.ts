import type { Corrections, Lessons } from './corrections';
import { normalCaption, parameterOfCaption } from './lexicon';
import type { IntakeReport } from './report';

/** Something that a correction may teach an office: what a caption asks for, in every drawing to come. */
export interface Teachable {
  /** The caption as it stands in the drawing, and as the lexicon writes it. */
  caption: string;
  sign: string;
  parameter: string;
  /** What the caption means so far, by the lexicon or by what was taught; it would be overruled. */
  known: string | null;
}

/** Signs of captions are no longer than this. */
const LONGEST_SIGN = 200;

/**
 * What corrections of a drawing may teach. A correction counts for the text that it was made on; that its caption asks for the same
 * everywhere is somebody's to say. A caption over several values teaches nothing when another of them is what it asks for: an
 * address under a name does not make "Project" ask for addresses.
 */
export function teachableBy(corrections: Corrections, { texts }: IntakeReport, lessons: Lessons): Teachable[] {
  const found = new Map<string, Teachable>();
  for (const [id, { kind, parameter }] of Object.entries(corrections.texts ?? {})) {
    const text = texts.find((each) => each.id === Number(id));
    if (kind !== 'field' || !parameter || !text?.cell) continue;
    const inCell = texts.filter((each) => each.cell === text.cell);
    const [caption, ...more] = inCell.filter((each) => each.kind === 'caption');
    const sign = normalCaption(caption?.text ?? '');
    if (!caption || more.length > 0 || sign === '' || sign.length > LONGEST_SIGN) continue;
    const known = parameterOfCaption(caption.text, lessons.captions) ?? null;
    const asked = inCell.some((each) => each.kind === 'field' && each.id !== text.id && each.parameter === known);
    if (known === parameter || asked) continue;
    found.set(sign, { caption: caption.text, sign, parameter, known });
  }
  return [...found.values()];
}
