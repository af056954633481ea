/** In short what `npm run faults` does at length: whatever breaks, what was acknowledged is there, once. */
import { expect, test } from '@playwright/test';
import { SCENARIOS, tryFault } from '../faults/scenarios.ts';

const SECONDS = 4;

for (const name of Object.keys(SCENARIOS))
  test(name, async () => {
    const { acknowledged, found, doubled, lost } = await tryFault(name, SECONDS, 1);
    expect(acknowledged).toBeGreaterThan(0);
    expect({ found, doubled, lost }).toEqual({ found: acknowledged, doubled: 0, lost: 0 });
  });
