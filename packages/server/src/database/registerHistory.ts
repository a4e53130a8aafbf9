import type { Migration } from './migration';

/**
 * Numbering and file names of projects, numbers that may change places, and a history: a row for each field of a project, set or
 * sheet that became another. It is written by the database itself, so that no way of changing something can be forgotten.
 */
export const registerHistory: Migration = {
  name: '019-register-history',
  async up(database) {
    await database.schema.alterTable('projects', (table) => {
      // Null for what the numbers there are show.
      table.jsonb('numbering');
      // A pattern; null for the usual one.
      table.text('file_names');
    });
    // Looked at when a statement ends, so that two sheets change numbers in one.
    await database.schema.alterTable('sheets', (table) => table.dropUnique(['project_id', 'number']));
    await database.raw(
      'alter table sheets add constraint sheets_number_unique unique (project_id, number) deferrable initially immediate',
    );
    await database.schema.createTable('history', (table) => {
      table.bigIncrements('id');
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      // Which table it stands in, and which row of it.
      table.text('of').notNullable();
      table.uuid('row_id').notNullable();
      table.text('field').notNullable();
      // Null where there was nothing, or is nothing any more.
      table.text('before');
      table.text('after');
      table.timestamp('at', { useTz: true }).notNullable().defaultTo(database.fn.now());
      // Who changed it, once people sign in.
      table.text('by');
      table.index(['row_id', 'id']);
      table.index('project_id');
    });
    // Once for a statement, however many rows it changes. The inner statement is read anew each time: one that was read when few rows had
    // changed would compare each of thousands with each.
    await database.raw(`
      create function keep_history() returns trigger language plpgsql as $$
      begin
        execute $insert$
          insert into history (project_id, of, row_id, field, before, after)
          select case $1 when 'projects' then changed.id else (to_jsonb(changed) ->> 'project_id')::uuid end,
                 $1, changed.id, field.key, field.was, field.now
          from rows_after as changed join rows_before as earlier on earlier.id = changed.id
          cross join lateral (
            select key, was.value as was, now.value as now
            from jsonb_each_text((to_jsonb(earlier) - array['values', 'version', 'tables']) || earlier."values") as was
            full join jsonb_each_text((to_jsonb(changed) - array['values', 'version', 'tables']) || changed."values") as now
              using (key)
            where was.value is distinct from now.value
          ) as field
        $insert$ using tg_table_name::text;
        return null;
      end $$`);
    for (const table of ['projects', 'sets', 'sheets'])
      await database.raw(
        `create trigger keep_history after update on ${table}
           referencing old table as rows_before new table as rows_after
           for each statement execute function keep_history()`,
      );
  },
  async down(database) {
    for (const table of ['projects', 'sets', 'sheets'])
      await database.raw(`drop trigger if exists keep_history on ${table}`);
    await database.raw('drop function if exists keep_history()');
    await database.schema.dropTableIfExists('history');
    await database.raw('alter table sheets drop constraint if exists sheets_number_unique');
    await database.schema.alterTable('sheets', (table) => table.unique(['project_id', 'number']));
    await database.schema.alterTable('projects', (table) => table.dropColumns('numbering', 'file_names'));
  },
};
