export { checkPackage } from './check-package.ts';
export type { Fault } from './fault.ts';
