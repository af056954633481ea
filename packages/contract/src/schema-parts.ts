/** Pieces of which schemas of edits are made. */
import { Type, type TSchema } from '@sinclair/typebox';

export const closed = { additionalProperties: false } as const;
export const literals = <T extends string>(values: readonly T[]) =>
  Type.Unsafe<T>({ type: 'string', enum: [...values] });
export const Id = Type.String({ minLength: 1, maxLength: 400 });
export const Ids = Type.Array(Id, { maxItems: 200_000 });
export const Nullable = Type.Union([Id, Type.Null()]);
export const orNull = (schema: TSchema) => Type.Union([schema, Type.Null()]);
export const entry = <K extends string, P extends Record<string, TSchema>>(kind: K, properties: P) =>
  Type.Object({ kind: Type.Literal(kind), ...properties }, closed);
export const oneOf = (schemas: readonly TSchema[], by = 'kind') =>
  Type.Unsafe<never>({
    type: 'object',
    required: [by],
    discriminator: { propertyName: by },
    oneOf: [...schemas],
  });
export const PictureHash = Type.String({ pattern: '^[0-9a-f]{64}$' });
export const Picture = Type.Object(
  {
    id: PictureHash,
    mime: literals(['image/png', 'image/jpeg', 'image/gif'] as const),
    width: Type.Integer({ minimum: 1 }),
    height: Type.Integer({ minimum: 1 }),
  },
  closed,
);
