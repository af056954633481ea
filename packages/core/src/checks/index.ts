export * from './slide-advice.ts';
export {
  badness,
  isMendable,
  REMARK_KINDS,
  weightOf,
  type Looked,
  type MendableKind,
  type Remark,
  type RemarkKind,
  type Weight,
} from './remark.ts';
export { isOfDeck, lookThrough, remarksOf, remarksOn } from './remarks.ts';
