/** Builds the demo documents into packages/demo/files: `npm run demo`. */
import { writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildMinutes } from './minutes.ts';
import { buildReport } from './report.ts';
import { usualTemplate } from './templates.ts';

const files = join(dirname(fileURLToPath(import.meta.url)), '../files');
writeFileSync(join(files, 'sallow-quay-feasibility-report.docx'), await buildReport());
writeFileSync(join(files, 'minutes-october.docx'), await buildMinutes());
writeFileSync(join(files, 'sallow-quay-trust-template.pptx'), usualTemplate());
