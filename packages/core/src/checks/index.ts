export * from './slide-advice.ts';
export { badness, REMARK_KINDS, weightOf, type Looked, type Remark, type RemarkKind, type Weight } from './remark.ts';
export { lookThrough, remarksOf } from './remarks.ts';
