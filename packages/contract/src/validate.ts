/** Validators of what the server receives (Ajv). Apart from the schemas: Ajv writes code, which a page's policy forbids. */
import type { SingleEdit } from '@alvex/core';
import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import {
  AppendEntries,
  DeckContents,
  FileChoices,
  NewOwnMap,
  NewParts,
  RenameDeck,
  RenameOwnMap,
  type AppendEntries as Append,
  type DeckContents as Contents,
  type FileChoices as Choices,
  type NewOwnMap as OwnMap,
  type NewParts as Parts,
  type RenameDeck as Rename,
} from './schemas.ts';
import { SINGLE_EDITS } from './edits/edit-schemas.ts';
import { list, oneOf } from './edits/parts.ts';

const MOST_RULES = 200;

const STRICT = { discriminator: true, strict: true, strictRequired: false, allowUnionTypes: true } as const;
const ajv = new Ajv(STRICT);
addFormats.default(ajv);
/** Of what stands in an address, where a number is written as text. */
const ofQueries = new Ajv({ ...STRICT, coerceTypes: true });

export type Validated<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: string };

/** Compiled when it is first asked: not everybody asks all of them. */
function validator<T>(schema: object, by = ajv): (value: unknown) => Validated<T> {
  let compiled: ValidateFunction | undefined;
  return (value) => {
    const check = (compiled ??= by.compile(schema));
    return check(value) ? { ok: true, value: value as T } : { ok: false, fault: faultText(check.errors) };
  };
}

const faultText = (errors: readonly ErrorObject[] | null | undefined): string => (errors ?? []).map(faultOf).join('; ');

function faultOf({ instancePath, message = 'is wrong', params }: ErrorObject): string {
  const { allowedValues, additionalProperty } = params as { allowedValues?: string[]; additionalProperty?: string };
  const more = allowedValues?.join(', ') ?? additionalProperty;
  return `${instancePath || 'what was sent'} ${message}${more === undefined ? '' : `: ${more}`}`;
}

export const validateAppendEntries = validator<Append>(AppendEntries);
export const validateNewParts = validator<Parts>(NewParts);
export const validateRenameDeck = validator<Rename>(RenameDeck);
export const validateNewOwnMap = validator<OwnMap>(NewOwnMap);
export const validateRenameOwnMap = validator<{ readonly name: string }>(RenameOwnMap);
/** @param query Numbers in it are made numbers. */
export const validateFileChoices = validator<Choices>(FileChoices, ofQueries);
/** Of a project file. */
export const validateRules: (value: unknown) => Validated<readonly SingleEdit[]> = validator<readonly SingleEdit[]>(
  list(oneOf(SINGLE_EDITS), MOST_RULES),
);
export const validateDeckContents = validator<Contents>(DeckContents);
