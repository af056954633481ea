export * from './account.ts';
export * from './docx-text.ts';
export * from './html-text.ts';
export * from './markdown-text.ts';
export * from './odt-text.ts';
export * from './opml-text.ts';
export * from './rtf-text.ts';
