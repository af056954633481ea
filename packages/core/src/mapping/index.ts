export * from './ledger.ts';
export { documentLanguage } from './document-language.ts';
export { mapDocument } from './map-document.ts';
export { fillMatter, withMatter, withPlaces } from './matter.ts';
export { NO_OVERRIDES, type Overrides } from './plan.ts';
export * from './preset-maps.ts';
export * from './text-kind.ts';
export * from './suggest-map.ts';
export { sectionsToLeave, type LeftSections } from './leave-sections.ts';
