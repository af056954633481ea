export * from './change.ts';
export * from './evidence.ts';
export * from './finding.ts';
export * from './findings.ts';
export * from './join-documents.ts';
export * from './look-alikes.ts';
export * from './raise-skipped.ts';
export * from './restructure.ts';
