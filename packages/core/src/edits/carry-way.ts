/** Ways to convert a document, with their passages as a new edition has them. */
import type { IdMap } from '../ids/index.ts';
import type { TakeSettings, WaySettings } from './take.ts';

export const carryWay = <W extends WaySettings>(way: W, ids: IdMap): W =>
  way.branches === undefined
    ? way
    : { ...way, branches: way.branches.map((one) => ({ ...one, block: ids.block(one.block) })) };

export function carryTake(take: TakeSettings, ids: IdMap): TakeSettings {
  const way = carryWay(take, ids);
  return way.mixes === undefined
    ? way
    : {
        ...way,
        mixes: way.mixes.map(({ block, until, settings }) => ({
          block: ids.block(block),
          until: until === null ? null : ids.block(until),
          settings: carryWay(settings, ids),
        })),
      };
}
