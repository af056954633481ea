/**
 * Pieces of which schemas of edits are made. Each carries the type of the core that it stands for, and an object must have a schema for
 * every property of its type and for no other: so neither can change alone.
 */
import { PICTURE_MIMES, type Picture as PictureType } from '@alvex/core';
import { Type, type OptionalKind, type TSchema, type TUnsafe } from '@sinclair/typebox';

export const closed = { additionalProperties: false } as const;

/** A schema of what is a `V`. */
export type SchemaOf<V> = TSchema & { readonly static: V };
type Optional = { readonly [OptionalKind]: 'Optional' };
type IsOptional<T, P extends keyof T> = object extends Pick<T, P> ? true : false;
export type Properties<T> = {
  readonly [P in keyof T]-?: IsOptional<T, P> extends true ? SchemaOf<T[P]> & Optional : SchemaOf<T[P]>;
};

export const object = <T extends object>(properties: Properties<T>): TUnsafe<T> =>
  Type.Unsafe<T>(Type.Object(properties, closed));

export const list = <V>(items: SchemaOf<V>, maxItems: number, minItems = 0): TUnsafe<readonly V[]> =>
  Type.Unsafe<readonly V[]>(Type.Array(items, { maxItems, minItems }));

export const literals = <const V extends string>(values: readonly V[]): TUnsafe<V> =>
  Type.Unsafe<V>({ type: 'string', enum: [...values] });

export const only = <const V extends string | boolean>(value: V): TUnsafe<V> => Type.Unsafe<V>(Type.Literal(value));

export const whole = <V extends number>(minimum: number, maximum: number): TUnsafe<V> =>
  Type.Unsafe<V>(Type.Integer({ minimum, maximum }));

export const orNull = <V>(schema: SchemaOf<V>): TUnsafe<V | null> =>
  Type.Unsafe<V | null>(Type.Union([schema, Type.Null()]));

export const optional = <V>(schema: SchemaOf<V>): SchemaOf<V> & Optional => Type.Optional(schema);

export const oneOf = <V>(schemas: readonly SchemaOf<V>[], by = 'kind'): TUnsafe<V> =>
  Type.Unsafe<V>({
    type: 'object',
    required: [by],
    discriminator: { propertyName: by },
    oneOf: [...schemas],
  });

const AN_ID = { minLength: 1, maxLength: 400 } as const;
/** An id of a block, slide, part or note: which one, the property says. */
export const Id = Type.Unsafe<never>(Type.String(AN_ID));
export const Ids = list(Id, 200_000);
export const IdOrNull = orNull(Id);

export const Hash = Type.String({ pattern: '^[0-9a-f]{64}$' });
export const Picture = object<PictureType>({
  id: Type.Unsafe<PictureType['id']>(Hash),
  mime: literals(PICTURE_MIMES),
  width: Type.Integer({ minimum: 1 }),
  height: Type.Integer({ minimum: 1 }),
  ink: optional(literals(['dark', 'light'])),
});
