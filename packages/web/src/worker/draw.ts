/** Pages as they are sent to the window. */
import { drawSlide, sceneSlide, type LinkGoals, type Page, type Theme } from '@alvex/core';
import type { Drawing } from './shown.ts';

/** @param goals Where links within the document lead, for those who present. */
export const drawPage = (page: Page, rev: number, theme: Theme, goals?: LinkGoals): Drawing => ({
  key: page.key,
  rev,
  ...drawSlide(sceneSlide(page, 1, theme), theme, goals),
});
