/** What decides a conversion, as schemas. */
import {
  DENSITIES,
  DESTINATIONS,
  FULL_RULES,
  TEXT_KINDS,
  type LevelMap as LevelMapType,
  type BranchRule,
  type Prose as ProseType,
  type BlockId,
  type Mix,
  type TakeSettings as TakeSettingsType,
  type Target as TargetType,
  type WaySettings as WaySettingsType,
} from '@alvex/core';
import { Type } from '@sinclair/typebox';
import { closed, Id, list, literals, object, oneOf, only, optional, orNull } from './parts.ts';

export const Destination = literals(DESTINATIONS);
export const TextKind = literals(TEXT_KINDS);
export const LevelMap = Type.Unsafe<LevelMapType>(
  Type.Object(Object.fromEntries(TEXT_KINDS.map((kind) => [kind, Destination])), closed),
);
export const MapName = orNull(Type.String({ maxLength: 100 }));
export const FullRule = literals(FULL_RULES);

export const Share = Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 1 });

type ProseAs<A extends ProseType['as']> = Extract<ProseType, { readonly as: A }>;
export const Prose = oneOf<ProseType>(
  [
    object<ProseAs<'whole'>>({ as: only('whole') }),
    object<ProseAs<'told'>>({ as: only('told') }),
    object<ProseAs<'first'>>({ as: only('first') }),
    object<ProseAs<'short'>>({ as: only('short'), density: literals(DENSITIES) }),
  ],
  'as',
);

export const Target = object<TargetType>({
  unit: literals(['slides', 'minutes']),
  amount: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
});
export const Branches = list(object<BranchRule>({ block: Id, text: TextKind, to: Destination }), 20_000);
const way = {
  name: MapName,
  map: LevelMap,
  prose: Prose,
  full: FullRule,
  speech: optional(Share),
  branches: optional(Branches),
};
export const WaySettings = object<WaySettingsType>(way);
const MixedIn = object<Mix & { readonly block: BlockId }>({ block: Id, until: orNull(Id), settings: WaySettings });
export const TakeSettings = object<TakeSettingsType>({ ...way, mixes: optional(list(MixedIn, 2000)) });
