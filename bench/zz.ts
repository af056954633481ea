import { writeFileSync } from 'node:fs';
import { foreignTemplates } from '../packages/core/src/test/foreign-templates.ts';
for (const [name, bytes] of await foreignTemplates()) writeFileSync(`/tmp/tp/${name.replace(/\W+/g, '-')}.pptx`, bytes);
