export { auditPackage, AUDIT_RULES, type AuditRule, type Remark } from './audit-package.ts';
export { checkPackage } from './check-package.ts';
export type { Fault } from './fault.ts';
export { outlineOf, type SlideOutline } from './outline.ts';
