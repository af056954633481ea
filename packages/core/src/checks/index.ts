export * from './slide-advice.ts';
export { badness, REMARK_KINDS, weightOf, type Looked, type Remark, type RemarkKind, type Weight } from './remark.ts';
export { isOfDeck, lookThrough, remarksOf, remarksOn } from './remarks.ts';
