import type { LongestValues } from '@mendrel/contract';
import type { Knex } from 'knex';

/**
 * The longest value that each parameter has in any project of the office, by its key: data of projects and sheets, numbers and titles
 * of sheets. What fits with these fits everywhere.
 */
export async function longestValues(database: Knex): Promise<LongestValues> {
  // The length comes first in what is compared: sorting all values of a large office takes four times as long.
  const { rows } = await database.raw<{ rows: { key: string; value: string }[] }>(`
    select key, substr(max(lpad(length(value)::text, 6, '0') || value), 7) as value from (
      select each.key, each.value from projects, jsonb_each_text(projects.values) each
      union all select each.key, each.value from sets, jsonb_each_text(sets.values) each
      union all select each.key, each.value from sheets, jsonb_each_text(sheets.values) each
      union all select 'sheet.number', number from sheets
      union all select 'sheet.title', title from sheets
    ) entered
    -- Longer ones are no words, but outlines.
    where value <> '' and length(value) <= 2000
    group by key
  `);
  return Object.fromEntries(rows.map(({ key, value }) => [key, value]));
}
