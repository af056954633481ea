/** The themes that ship. */
import type { ThemeDesign } from '../design.ts';
import { almanac } from './almanac.ts';
import { broadsheet } from './broadsheet.ts';
import { daybook } from './daybook.ts';
import { draughtsman } from './draughtsman.ts';
import { foreshore } from './foreshore.ts';
import { headland } from './headland.ts';
import { lamplight } from './lamplight.ts';
import { millrace } from './millrace.ts';
import { nightwatch } from './nightwatch.ts';
import { pebble } from './pebble.ts';
import { plainsong } from './plainsong.ts';
import { semaphore } from './semaphore.ts';
import { slipway } from './slipway.ts';

export const THEME_DESIGNS: readonly ThemeDesign[] = [
  millrace,
  slipway,
  lamplight,
  foreshore,
  semaphore,
  almanac,
  draughtsman,
  headland,
  broadsheet,
  pebble,
  nightwatch,
  plainsong,
  daybook,
];
