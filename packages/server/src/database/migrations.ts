import type { Knex } from 'knex';
import { deletedThings } from './deletedThings';
import { ownDesigns } from './ownDesigns';
import { projectDevices } from './projectDevices';
import { projectDrawings } from './projectDrawings';
import { designStarters } from './designStarters';
import { enteredTables } from './enteredTables';
import type { Migration } from './migration';
import { projectKinds } from './projectKinds';
import { registerHistory } from './registerHistory';
import { reservedModules } from './reservedModules';
import { revisions } from './revisions';
import { setsAndIssues } from './setsAndIssues';
import { sheetCorrections } from './sheetCorrections';
import { waitingViews } from './waitingViews';
import startingStandard from './stored/starting-standard-2.json';

const firstTables: Migration = {
  name: '001-first-tables',
  async up(database) {
    await database.schema.createTable('office', (table) => {
      table.integer('id').primary().checkIn(['1']);
      table.jsonb('values').notNullable();
      table.jsonb('standard').notNullable();
      table.integer('version').notNullable().defaultTo(1);
    });
    await database.schema.createTable('designs', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable();
      table.jsonb('document').notNullable();
      table.integer('version').notNullable().defaultTo(1);
      table.timestamp('updated_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.createTable('projects', (table) => {
      table.uuid('id').primary();
      table.integer('position').notNullable();
      table.uuid('design_id').references('designs.id').onDelete('RESTRICT');
      table.jsonb('values').notNullable();
      table.integer('version').notNullable().defaultTo(1);
    });
    await database.schema.createTable('sheets', (table) => {
      table.uuid('id').primary();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.text('number').notNullable();
      table.text('title').notNullable();
      table.text('kind').notNullable();
      table.text('size').notNullable();
      table.jsonb('values').notNullable();
      table.jsonb('views').notNullable();
      table.integer('version').notNullable().defaultTo(1);
      table.unique(['project_id', 'number']);
    });
    await database.schema.createTable('legacy_drawings', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable();
      table.binary('content').notNullable();
      table.integer('bytes').notNullable();
      table.uuid('design_id').references('designs.id').onDelete('SET NULL');
      table.timestamp('added_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
  },
  async down(database) {
    for (const table of ['legacy_drawings', 'sheets', 'projects', 'designs', 'office']) {
      await database.schema.dropTableIfExists(table);
    }
  },
};

const standardRevisions: Migration = {
  name: '002-standard-revisions',
  async up(database) {
    await database.schema.createTable('standard_revisions', (table) => {
      table.integer('number').primary();
      table.text('note').notNullable();
      table.jsonb('document').notNullable();
      table.timestamp('fixed_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.createTable('typefaces', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable().unique();
      table.text('licence').notNullable();
      table.binary('content').notNullable();
      table.timestamp('added_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.alterTable('office', (table) => {
      table.integer('standard_version').notNullable().defaultTo(1);
    });
    for (const name of ['designs', 'projects']) {
      await database.schema.alterTable(name, (table) => {
        table.integer('standard_revision').references('standard_revisions.number').onDelete('RESTRICT');
      });
    }
    // Standards of the first version could not be edited, so nothing of an office's own is lost. They become what a new office
    // started from then.
    await database('office')
      .whereRaw("standard->>'version' = '1'")
      .update({ standard: JSON.stringify(startingStandard) });
  },
  async down(database) {
    for (const name of ['designs', 'projects']) {
      await database.schema.alterTable(name, (table) => table.dropColumn('standard_revision'));
    }
    await database.schema.alterTable('office', (table) => table.dropColumn('standard_version'));
    await database.schema.dropTableIfExists('typefaces');
    await database.schema.dropTableIfExists('standard_revisions');
  },
};

const designRevisions: Migration = {
  name: '003-design-revisions',
  async up(database) {
    await database.schema.createTable('design_revisions', (table) => {
      table.uuid('design_id').notNullable().references('designs.id').onDelete('CASCADE');
      table.integer('number').notNullable();
      table.text('note').notNullable();
      table.jsonb('document').notNullable();
      table.integer('standard_revision').references('standard_revisions.number').onDelete('RESTRICT');
      table.timestamp('fixed_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
      table.primary(['design_id', 'number']);
    });
    await database.schema.createTable('design_checkpoints', (table) => {
      table.uuid('id').primary();
      table.uuid('design_id').notNullable().references('designs.id').onDelete('CASCADE').index();
      table.text('name').notNullable();
      table.jsonb('document').notNullable();
      table.timestamp('kept_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.alterTable('projects', (table) => {
      table.integer('design_revision');
      table
        .foreign(['design_id', 'design_revision'])
        .references(['design_id', 'number'])
        .inTable('design_revisions')
        .onDelete('RESTRICT');
    });
    // Version 2 of the document added what is optional only.
    await database('designs')
      .whereRaw("document->>'version' = '1'")
      .update({ document: database.raw("jsonb_set(document, '{version}', '2')") });
  },
  async down(database) {
    await database.schema.alterTable('projects', (table) => {
      table.dropForeign(['design_id', 'design_revision']);
      table.dropColumn('design_revision');
    });
    await database.schema.dropTableIfExists('design_checkpoints');
    await database.schema.dropTableIfExists('design_revisions');
  },
};

const intakeCorrections: Migration = {
  name: '004-intake-corrections',
  async up(database) {
    await database.schema.alterTable('legacy_drawings', (table) => {
      table.jsonb('corrections').notNullable().defaultTo('{}');
    });
  },
  async down(database) {
    await database.schema.alterTable('legacy_drawings', (table) => table.dropColumn('corrections'));
  },
};

const intakeSets: Migration = {
  name: '005-intake-sets',
  async up(database) {
    await database.schema.createTable('intake_sets', (table) => {
      table.uuid('id').primary();
      table.text('name').notNullable();
      table.text('state').notNullable();
      table.uuid('project_id').references('projects.id').onDelete('SET NULL');
      table.timestamp('added_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    await database.schema.alterTable('legacy_drawings', (table) => {
      table.uuid('set_id').references('intake_sets.id').onDelete('CASCADE').index();
      // What a drawing of a set was read as, or why it cannot be read; neither while it waits.
      table.jsonb('reading');
      table.text('refused');
    });
  },
  async down(database) {
    await database('legacy_drawings').whereNotNull('set_id').delete();
    await database.schema.alterTable('legacy_drawings', (table) => {
      for (const column of ['set_id', 'reading', 'refused']) table.dropColumn(column);
    });
    await database.schema.dropTableIfExists('intake_sets');
  },
};

const intakeLessons: Migration = {
  name: '006-intake-lessons',
  async up(database) {
    await database.schema.createTable('intake_lessons', (table) => {
      table.text('kind').notNullable();
      table.text('sign').notNullable();
      table.text('answer').notNullable();
      table.primary(['kind', 'sign']);
    });
  },
  async down(database) {
    await database.schema.dropTableIfExists('intake_lessons');
  },
};

const takeOvers: Migration = {
  name: '007-take-overs',
  async up(database) {
    // What became of the groups of a set, so that a wish that is sent twice is carried out once.
    await database.schema.createTable('intake_take_overs', (table) => {
      table.uuid('set_id').notNullable().references('intake_sets.id').onDelete('CASCADE');
      // SHA-256 of what was wished.
      table.text('wish').notNullable();
      table.uuid('project_id').notNullable().references('projects.id').onDelete('CASCADE');
      table.uuid('design_id').notNullable().references('designs.id').onDelete('CASCADE');
      table.integer('sheets').notNullable();
      table.primary(['set_id', 'wish']);
    });
  },
  async down(database) {
    await database.schema.dropTableIfExists('intake_take_overs');
  },
};

/** Where standards are stored. */
const STANDARDS = [
  ['office', 'standard'],
  ['standard_revisions', 'document'],
] as const;

const dimensionFigures: Migration = {
  name: '008-dimension-figures',
  async up(database) {
    // What dimension styles were written with before they had these settings.
    const settings = `case when each->>'unit' = 'in'
      then '{"fractions":"stacked","precision":4,"leadingZeros":false,"trailingZeros":true,"movedOut":"whichever fits"}'::jsonb
      else '{"fractions":"stacked","precision":0,"leadingZeros":true,"trailingZeros":true,"movedOut":"whichever fits"}'::jsonb end`;
    for (const [table, column] of STANDARDS) {
      await database(table).update({
        [column]: database.raw(
          `jsonb_set(??, '{dimensions}', (select coalesce(jsonb_agg(${settings} || each order by place), '[]')
             from jsonb_array_elements(??->'dimensions') with ordinality as rows(each, place)))`,
          [column, column],
        ),
      });
    }
  },
  async down(database) {
    for (const [table, column] of STANDARDS) {
      await database(table).update({
        [column]: database.raw(
          `jsonb_set(??, '{dimensions}', (select coalesce(jsonb_agg(each - array['fractions', 'precision', 'leadingZeros', 'trailingZeros', 'movedOut'] order by place), '[]')
             from jsonb_array_elements(??->'dimensions') with ordinality as rows(each, place)))`,
          [column, column],
        ),
      });
    }
  },
};

const tickParameters: Migration = {
  name: '009-tick-parameters',
  up: (database) => renameKind(database, 'yes/no', 'tick'),
  down: (database) => renameKind(database, 'tick', 'yes/no'),
};

/** Gives a kind of parameter another name in all standards. */
async function renameKind(database: Knex, from: string, to: string): Promise<void> {
  for (const [table, column] of STANDARDS) {
    await database(table).update({
      [column]: database.raw(
        `jsonb_set(??, '{parameters}', (select coalesce(jsonb_agg(
           case when each->>'kind' = ? then each || jsonb_build_object('kind', ?::text) else each end order by place), '[]')
           from jsonb_array_elements(??->'parameters') with ordinality as rows(each, place)))`,
        [column, from, to, column],
      ),
    });
  }
}

const publishedAt: Migration = {
  name: '010-published-at',
  async up(database) {
    for (const table of ['standard_revisions', 'design_revisions']) {
      await database.schema.alterTable(table, (columns) => columns.renameColumn('fixed_at', 'published_at'));
    }
  },
  async down(database) {
    for (const table of ['standard_revisions', 'design_revisions']) {
      await database.schema.alterTable(table, (columns) => columns.renameColumn('published_at', 'fixed_at'));
    }
  },
};

const findings: Migration = {
  name: '011-findings',
  async up(database) {
    await database.schema.createTable('sheet_findings', (table) => {
      table.uuid('sheet_id').primary();
      table.text('source').notNullable();
      table.jsonb('findings').notNullable();
    });
    await database.schema.createTable('project_findings', (table) => {
      table.uuid('project_id').primary();
      table.text('stamp').notNullable();
      table.jsonb('summary').notNullable();
    });
  },
  async down(database) {
    await database.schema.dropTableIfExists('project_findings');
    await database.schema.dropTableIfExists('sheet_findings');
  },
};

/** Where designs are stored. */
const DESIGNS = ['designs', 'design_revisions', 'design_checkpoints'] as const;

const assets: Migration = {
  name: '012-assets',
  async up(database) {
    await database.schema.createTable('assets', (table) => {
      // SHA-256 of the content.
      table.text('sha256').primary();
      table.text('type').notNullable();
      table.integer('bytes').notNullable();
      table.binary('content').notNullable();
      table.timestamp('used_at', { useTz: true }).notNullable().defaultTo(database.fn.now());
    });
    for (const [table, type] of [
      ['typefaces', 'typeface'],
      ['legacy_drawings', 'drawing'],
    ] as const) {
      await database.raw(
        `insert into assets (sha256, type, bytes, content)
         select distinct on (encode(sha256(content), 'hex')) encode(sha256(content), 'hex'), ?, length(content), content from ??
         on conflict do nothing`,
        [type, table],
      );
      await database.schema.alterTable(table, (columns) => columns.text('asset').references('assets.sha256').index());
      await database.raw(`update ?? set asset = encode(sha256(content), 'hex')`, [table]);
      await database.schema.alterTable(table, (columns) => {
        columns.dropNullable('asset');
        columns.dropColumn('content');
      });
    }
    for (const table of DESIGNS) {
      await rewriteImages(database, table, async (image) => {
        const { data, ...rest } = image;
        if (typeof data !== 'string') return image;
        const { rows } = await database.raw<{ rows: { sha256: string }[] }>(
          `insert into assets (sha256, type, bytes, content)
           select encode(sha256(content), 'hex'), ?, length(content), content from (select decode(?, 'base64') as content) as file
           on conflict (sha256) do update set used_at = now() returning sha256`,
          [String(image['type']), data],
        );
        return { ...rest, asset: rows[0]?.sha256 };
      });
    }
  },
  async down(database) {
    for (const table of DESIGNS) {
      await rewriteImages(database, table, async (image) => {
        const { asset, ...rest } = image;
        if (typeof asset !== 'string') return image;
        const row = await database<{ sha256: string; content: Buffer }>('assets').where({ sha256: asset }).first();
        return { ...rest, data: row?.content.toString('base64') };
      });
    }
    for (const table of ['typefaces', 'legacy_drawings']) {
      await database.schema.alterTable(table, (columns) => columns.binary('content'));
      await database.raw('update ?? set content = assets.content from assets where sha256 = asset', [table]);
      await database.schema.alterTable(table, (columns) => {
        columns.dropNullable('content');
        columns.dropColumn('asset');
      });
    }
    await database.schema.dropTableIfExists('assets');
  },
};

type JsonObject = Record<string, unknown>;

/** Rewrites the images of all documents of a table, wherever they stand in them; a row at a time, for documents are large. */
async function rewriteImages(
  database: Knex,
  table: (typeof DESIGNS)[number],
  rewrite: (image: JsonObject) => Promise<JsonObject>,
): Promise<void> {
  const walk = async (value: unknown): Promise<unknown> => {
    if (Array.isArray(value)) {
      const list: unknown[] = [];
      for (const each of value) list.push(await walk(each));
      return list;
    }
    if (typeof value !== 'object' || value === null) return value;
    const walked: JsonObject = {};
    for (const [key, each] of Object.entries(value)) {
      walked[key] = key === 'image' ? await rewrite(each as JsonObject) : await walk(each);
    }
    return walked;
  };
  const having = `jsonb_path_exists(document, 'lax $.**.image')`;
  const { rows } = await database.raw<{ rows: { place: string }[] }>(
    `select ctid::text as place from ${table} where ${having}`,
  );
  for (const { place } of rows) {
    const found = await database.raw<{ rows: { document: unknown }[] }>(
      `select document from ${table} where ctid = ?::tid`,
      [place],
    );
    await database.raw(`update ${table} set document = ?::jsonb where ctid = ?::tid`, [
      JSON.stringify(await walk(found.rows[0]?.document)),
      place,
    ]);
  }
}

export const migrations: readonly Migration[] = [
  firstTables,
  standardRevisions,
  designRevisions,
  intakeCorrections,
  intakeSets,
  intakeLessons,
  takeOvers,
  dimensionFigures,
  tickParameters,
  publishedAt,
  findings,
  assets,
  sheetCorrections,
  enteredTables,
  designStarters,
  revisions,
  projectKinds,
  setsAndIssues,
  registerHistory,
  deletedThings,
  ownDesigns,
  projectDrawings,
  projectDevices,
  waitingViews,
  reservedModules,
];
