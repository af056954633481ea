/** The project file `alvex.json`: which documents of a folder become which decks, so that a build makes them the same each time. */
import { ruleOf, type SingleEdit } from '@alvex/core';
import { Ajv } from 'ajv';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { findInputs } from './inputs.ts';
import type { Job } from './convert-file.ts';
import { OUTPUT_NAMES, plannedOutputs, type OutputName } from './outputs.ts';
import { checkRecipe, type Recipe } from './recipe.ts';
import { UsageError } from './usage-error.ts';

const PROJECT_FILE = 'alvex.json';

type Settings = Omit<Recipe, 'into' | 'behind'>;
/** Rules are checked apart, with their pictures: their schemas are many. */
type Named = Omit<Settings, 'rules' | 'pictures'>;
interface Project extends Settings {
  readonly documents?: readonly (
    string | ({ readonly file: string; readonly to?: readonly OutputName[] } & Settings)
  )[];
  readonly out?: string;
  readonly to?: readonly OutputName[];
}

const text = { type: 'string', minLength: 1 } as const;
const names = { type: 'array', items: text } as const;
const flag = { type: 'boolean' } as const;
const number = { type: 'number' } as const;
const SETTINGS: Readonly<Record<keyof Named, object>> = {
  ...{ map: text, length: text, minutes: number, theme: text, palette: text, dark: flag, fontPair: text },
  ...{ with: names, without: names, full: text, footer: text, date: text, language: text, template: text, as: text },
  ...{ fonts: flag, thumbnail: flag, pages: text, paper: text, notes: flag, width: number, only: number },
};
const to = { type: 'array', items: { enum: OUTPUT_NAMES }, minItems: 1 } as const;
const SCHEMA = {
  type: 'object',
  additionalProperties: false,
  properties: {
    ...SETTINGS,
    rules: { type: 'array' },
    pictures: { type: 'object', additionalProperties: text },
    documents: {
      type: 'array',
      minItems: 1,
      items: {
        anyOf: [
          text,
          {
            type: 'object',
            additionalProperties: false,
            required: ['file'],
            properties: { ...SETTINGS, rules: { type: 'array' }, file: text, to },
          },
        ],
      },
    },
    out: text,
    to,
  },
} as const;

export interface Build {
  readonly jobs: readonly Job[];
  readonly folder: string;
}

/**
 * The decks that a folder's project file asks for.
 * @param at The folder, or the file.
 * @throws UsageError where there is none, or it does not say what it should.
 */
export async function readProject(at: string): Promise<Build> {
  const file = statSync(at, { throwIfNoEntry: false })?.isDirectory() ? join(at, PROJECT_FILE) : at;
  if (!existsSync(file)) throw new UsageError(`There is no ${PROJECT_FILE} in ${at}.`);
  const folder = dirname(resolve(file));
  const project = parsed(readFileSync(file, 'utf8'), file);
  const told = [project, ...(project.documents ?? [])].flatMap((one) =>
    typeof one === 'string' ? [] : (one.rules ?? []),
  );
  if (told.length > 0) await checkRules(told, file);
  const { documents = ['.'], out = 'decks', to: all = ['pptx'], ...settings } = project;
  const target = resolve(folder, out);
  const planned = await Promise.all(
    documents.map(async (document) => {
      const { file: name, to: own = all, ...more } = typeof document === 'string' ? { file: document } : document;
      const recipe = recipeOf({ ...withoutMap(settings, more), ...more }, folder, file);
      const found = await findInputs([name], folder, target);
      return found.map((one) => ({ found: one, recipe, names: own, only: recipe.only }));
    }),
  );
  // What is named by itself has its own settings, wherever a pattern finds it too.
  const byPath = new Map(planned.flat().map((one) => [one.found.path, one]));
  documents.forEach((document, i) => {
    if (typeof document !== 'string') for (const one of planned[i]!) byPath.set(one.found.path, one);
  });
  const jobs = plannedOutputs([...byPath.values()], target).map(({ found, recipe, outputs }): Job => ({
    input: found.path,
    recipe,
    outputs,
  }));
  return { jobs, folder };
}

/** @throws UsageError for what is no edit, and for what is of places in one document. */
async function checkRules(rules: readonly SingleEdit[], file: string): Promise<void> {
  const { validateRules } = await import('@alvex/contract/validate');
  const checked = validateRules(rules);
  if (!checked.ok) throw new UsageError(`${file}: rules: ${checked.fault}.`);
  const bound = rules.find((rule) => ruleOf(rule) === undefined);
  if (bound !== undefined)
    throw new UsageError(`${file}: rules: “${bound.kind}” is of places in one document, and no rule.`);
}

/** Of a map, a length and minutes, what is said of one document stands in the place of what is said of all. */
function withoutMap(settings: Settings, own: Settings): Settings {
  if (own.map === undefined && own.length === undefined && own.minutes === undefined) return settings;
  const { map: _, length: __, minutes: ___, ...others } = settings;
  return others;
}

function parsed(source: string, file: string): Project {
  let value: unknown;
  try {
    value = JSON.parse(source);
  } catch (error) {
    throw new UsageError(`${file} is no JSON: ${(error as Error).message}`);
  }
  const check = new Ajv({ allErrors: true }).compile<Project>(SCHEMA);
  if (check(value)) return value;
  const faults = (check.errors ?? []).map(({ instancePath, message, params }) => {
    const unknown = (params as { additionalProperty?: string }).additionalProperty;
    return `${instancePath === '' ? 'the file' : instancePath.slice(1)} ${unknown === undefined ? message : `has no setting ${unknown}`}`;
  });
  throw new UsageError(`${file}: ${[...new Set(faults)].join('; ')}.`);
}

/** Paths are those of the folder. */
function recipeOf(settings: Settings, folder: string, file: string): Recipe {
  const { template } = settings;
  try {
    return checkRecipe({ ...settings, ...(template === undefined ? {} : { template: resolve(folder, template) }) });
  } catch (error) {
    if (error instanceof UsageError) throw new UsageError(`${file}: ${error.message}`);
    throw error;
  }
}
