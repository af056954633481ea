/**
 * Finds what is wrong with a presentation or a document: its package, every part against the schemas of its standard (ECMA-376 or OpenDocument),
 * and whatever one part says of another. Reads with libraries of its own, not with those that wrote the file.
 */
import { createRequire } from 'node:module';
import { dirname, join, posix } from 'node:path';
import { chartRules } from './chart-rules.ts';
import type { Fault } from './fault.ts';
import { Archive } from './open-archive.ts';
import { validateOpenDocument } from './open-document-schema.ts';
import { isOpenDocument, openDocumentRules } from './open-document.ts';
import { Package } from './open-package.ts';
import { partRules } from './part-rules.ts';
import { presentationRules } from './presentation-rules.ts';
import { shapeRules } from './shape-rules.ts';
import { validatePart } from './validate-part.ts';

// By its name, which holds wherever this file is bundled.
const SCHEMAS = dirname(createRequire(import.meta.url).resolve('@alvex/package-check/schemas/all.xsd'));

/** @returns Faults by part; none for a sound file. */
export async function checkPackage(bytes: Uint8Array): Promise<readonly Fault[]> {
  const archive = await Archive.open(bytes);
  try {
    if (isOpenDocument(archive)) checkOpenDocument(archive, bytes);
    else await checkOffice(new Package(archive));
  } finally {
    archive.dispose();
  }
  const faults = new Map(archive.faults.map((fault) => [`${fault.part}\n${fault.message}`, fault]));
  return [...faults.values()].sort((one, other) => one.part.localeCompare(other.part));
}

/** Of a document and of its objects; whatever else stands in a package is no part of the standard. */
const PARTS = new Set(['content.xml', 'styles.xml', 'meta.xml', 'settings.xml', 'manifest.xml']);

function checkOpenDocument(archive: Archive, bytes: Uint8Array): void {
  for (const part of archive.parts.keys())
    if (PARTS.has(posix.basename(part))) validateOpenDocument(archive, part, join(SCHEMAS, 'open-document'));
  openDocumentRules(archive, bytes);
}

async function checkOffice(opened: Package): Promise<void> {
  for (const part of opened.parts.keys()) if (/(\.xml|\.rels)$/i.test(part)) validatePart(opened, part, SCHEMAS);
  partRules(opened);
  presentationRules(opened);
  shapeRules(opened);
  await chartRules(opened);
}
