/** The schema, step by step. Every stored thing belongs to a workspace. */
import type { Knex } from 'knex';

interface Step {
  readonly name: string;
  readonly up: (db: Knex) => Promise<unknown>;
}

export const STEPS: readonly Step[] = [
  {
    name: '001-first',
    up: async (db) => {
      await db.schema.createTable('workspaces', (t) => {
        t.increments('id');
        t.string('name', 200).notNullable();
        t.boolean('demo_loaded').notNullable().defaultTo(false);
      });
      await db('workspaces').insert({ id: 1, name: 'This computer' });
      await db.schema.createTable('blobs', (t) => {
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.specificType('hash', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('mime', 150).notNullable();
        t.integer('size').unsigned().notNullable();
        t.specificType('bytes', 'longblob').notNullable();
        t.primary(['workspace_id', 'hash']);
      });
      await db.schema.createTable('decks', (t) => {
        t.specificType('id', 'char(36) character set ascii collate ascii_bin').primary();
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.string('name', 200).notNullable();
        t.string('file_name', 255).notNullable();
        t.string('type', 20).notNullable();
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.integer('words').unsigned().notNullable();
        t.integer('version').unsigned().notNullable().defaultTo(0);
        t.datetime('created_at', { precision: 3 }).notNullable();
        t.datetime('updated_at', { precision: 3 }).notNullable();
        t.datetime('deleted_at', { precision: 3 });
        t.index(['workspace_id', 'deleted_at', 'updated_at']);
      });
      await db.schema.createTable('entries', (t) => {
        t.specificType('deck_id', 'char(36) character set ascii collate ascii_bin')
          .notNullable()
          .references('decks.id');
        t.integer('version').unsigned().notNullable();
        t.specificType('entry', 'longtext').notNullable();
        t.datetime('at', { precision: 3 }).notNullable();
        t.primary(['deck_id', 'version']);
      });
      // A cache: what a reader made of an original. It can be emptied at any time.
      await db.schema.createTable('documents', (t) => {
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('type', 20).notNullable();
        t.integer('reader').unsigned().notNullable();
        t.specificType('packed', 'longblob').notNullable();
        t.primary(['workspace_id', 'original', 'type', 'reader']);
      });
    },
  },
  {
    name: '002-editions-and-maps',
    up: async (db) => {
      // Files that may be, or were, new editions of a deck's document. The log says which one is in force.
      await db.schema.createTable('editions', (t) => {
        t.specificType('deck_id', 'char(36) character set ascii collate ascii_bin')
          .notNullable()
          .references('decks.id');
        t.specificType('original', 'char(64) character set ascii collate ascii_bin').notNullable();
        t.string('type', 20).notNullable();
        t.string('file_name', 255).notNullable();
        t.datetime('at', { precision: 3 }).notNullable();
        t.primary(['deck_id', 'original']);
      });
      await db.schema.createTable('own_maps', (t) => {
        t.specificType('id', 'char(36) character set ascii collate ascii_bin').primary();
        t.integer('workspace_id').unsigned().notNullable().references('workspaces.id');
        t.string('name', 100).notNullable();
        t.specificType('recipe', 'longtext').notNullable();
        t.datetime('created_at', { precision: 3 }).notNullable();
        t.index(['workspace_id', 'name']);
      });
      await db.schema.alterTable('entries', (t) => {
        t.specificType('batch', 'char(36) character set ascii collate ascii_bin');
        t.index(['deck_id', 'batch']);
      });
    },
  },
  {
    name: '003-ids',
    up: async (db) => {
      // How the ids in a deck's log were made; logs of older ones are carried over when they are read.
      await db.schema.alterTable('decks', (t) => {
        t.specificType('ids', 'tinyint unsigned').notNullable().defaultTo(1);
      });
    },
  },
  {
    name: '004-writers',
    up: async (db) => {
      // Who wrote an entry, so that undoing takes back one's own.
      await db.schema.alterTable('entries', (t) => {
        t.specificType('writer', 'char(36) character set ascii collate ascii_bin');
      });
    },
  },
];

/** Brings the schema up to date; several servers may start at once. */
export async function migrate(db: Knex, steps = STEPS): Promise<void> {
  await db.migrate.latest({
    tableName: 'schema_steps',
    migrationSource: {
      getMigrations: () => Promise.resolve([...steps]),
      getMigrationName: (step: Step) => step.name,
      getMigration: (step: Step) =>
        Promise.resolve({ up: step.up, down: () => Promise.reject(new Error('Steps are not taken back')) }),
    },
  });
}
