export { writeMarkdown } from './write-markdown.ts';
export { writeOpml } from './write-opml.ts';
