import type { Lessons } from '@mendrel/core';
import type { Knex } from 'knex';
import { Model } from 'objection';

export class LessonModel extends Model {
  static override tableName = 'intake_lessons';
  static override idColumn = ['kind', 'sign'];
  declare kind: keyof Lessons;
  declare sign: string;
  declare answer: string;
}

const MOST_LESSONS = 5000;

/** What the office has taught intake so far. */
export async function lessonsOf(database: Knex): Promise<Lessons> {
  const rows = await LessonModel.query(database).orderBy(['kind', 'sign']).limit(MOST_LESSONS);
  const of = (kind: keyof Lessons): Record<string, string> =>
    Object.fromEntries(rows.filter((row) => row.kind === kind).map(({ sign, answer }) => [sign, answer]));
  return { captions: of('captions'), pens: of('pens') };
}

/** Teaches something, or forgets it where the answer is null. */
export async function teach(kind: keyof Lessons, sign: string, answer: string | null, database: Knex): Promise<void> {
  if (answer === null) await LessonModel.query(database).where({ kind, sign }).delete();
  else await LessonModel.query(database).insert({ kind, sign, answer }).onConflict(['kind', 'sign']).merge();
}
