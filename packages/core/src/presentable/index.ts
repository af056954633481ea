export * from './presentable.ts';
export { faultsOf, MOST_WORDS, RULES, type Rule } from './rules.ts';
