/** Measures text before anything asks for it, so that a turned plug finds most of its work done. */
import type { Runs } from '../content/index.ts';
import { frameOf, layoutNamed, type Theme } from '../theme/index.ts';
import { measureRuns } from './set-text.ts';

/** Measures runs as the points of `theme` would be set; what is measured already costs nothing. */
export function measureAhead(runs: Runs, theme: Theme): void {
  measureRuns(runs, theme, frameOf(layoutNamed(theme, 'points'), 'body')!, { italic: false, mono: false });
}
