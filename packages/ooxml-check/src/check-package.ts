/**
 * Finds what is wrong with a PPTX or DOCX file: its package, every part against the schemas of ECMA-376, and whatever one part says of
 * another. Reads with libraries of its own, not with those that wrote the file.
 */
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { chartRules } from './chart-rules.ts';
import type { Fault } from './fault.ts';
import { Package } from './open-package.ts';
import { partRules } from './part-rules.ts';
import { presentationRules } from './presentation-rules.ts';
import { shapeRules } from './shape-rules.ts';
import { validatePart } from './validate-part.ts';

// By its name, which holds wherever this file is bundled.
const SCHEMAS = dirname(createRequire(import.meta.url).resolve('@alvex/ooxml-check/schemas/all.xsd'));

/** @returns Faults by part; none for a sound file. */
export async function checkPackage(bytes: Uint8Array): Promise<readonly Fault[]> {
  const opened = await Package.open(bytes);
  try {
    for (const part of [...opened.parts.keys()]) if (/(\.xml|\.rels)$/i.test(part)) validatePart(opened, part, SCHEMAS);
    partRules(opened);
    presentationRules(opened);
    shapeRules(opened);
    await chartRules(opened);
  } finally {
    opened.dispose();
  }
  const faults = new Map(opened.faults.map((fault) => [`${fault.part}\n${fault.message}`, fault]));
  return [...faults.values()].sort((one, other) => one.part.localeCompare(other.part));
}
