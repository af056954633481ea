/** Validators of what the server receives (Ajv). Apart from the schemas: Ajv writes code, which a page's policy forbids. */
import { Ajv, type ErrorObject } from 'ajv';
import addFormats from 'ajv-formats';
import {
  AppendEntries,
  DeckContents,
  NewOwnMap,
  NewParts,
  RenameDeck,
  RenameOwnMap,
  type AppendEntries as Append,
  type DeckContents as Contents,
  type NewOwnMap as OwnMap,
  type NewParts as Parts,
  type RenameDeck as Rename,
} from './schemas.ts';

const ajv = new Ajv({ discriminator: true, strict: true, strictRequired: false, allowUnionTypes: true });
addFormats.default(ajv);

export type Validated<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: string };

function validator<T>(schema: object): (value: unknown) => Validated<T> {
  const check = ajv.compile(schema);
  return (value) => (check(value) ? { ok: true, value: value as T } : { ok: false, fault: faultText(check.errors) });
}

const faultText = (errors: readonly ErrorObject[] | null | undefined): string =>
  (errors ?? []).map((error) => `${error.instancePath || 'the body'} ${error.message ?? 'is wrong'}`).join('; ');

export const validateAppendEntries = validator<Append>(AppendEntries);
export const validateNewParts = validator<Parts>(NewParts);
export const validateRenameDeck = validator<Rename>(RenameDeck);
export const validateNewOwnMap = validator<OwnMap>(NewOwnMap);
export const validateRenameOwnMap = validator<{ readonly name: string }>(RenameOwnMap);
export const validateDeckContents = validator<Contents>(DeckContents);
