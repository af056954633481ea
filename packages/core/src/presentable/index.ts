export * from './presentable.ts';
export { faultsOf, isPhotograph, MOST_WORDS, reach, RULES, type Rule } from './rules.ts';
