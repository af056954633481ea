/** Takes characters out that XML forbids or that mean nothing, and white space off both ends. */
import type { Report, SourcePlace } from '../base/index.ts';
import { dropForbidden } from '../container/index.ts';
import { runsText, trimRuns, type Run, type Runs } from '../content/index.ts';

const UNWANTED = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffc-\uffff\ud800-\udfff]/;

export function cleanRuns(runs: readonly Run[], place: SourcePlace, report: Report): Runs {
  let cleaned: readonly Run[] = runs;
  if (runs.some((run) => UNWANTED.test(run.text))) {
    cleaned = runs.map((run) => ({ ...run, text: dropForbidden(run.text) })).filter((run) => run.text !== '');
    if (runsText(cleaned) !== runsText(runs)) report.add('characters-dropped', place);
  }
  return trimRuns(cleaned);
}
