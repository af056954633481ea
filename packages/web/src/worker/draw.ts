/** Pages as they are sent to the window. */
import { drawSlide, sceneSlide, type Page, type Theme } from '@alvex/core';
import type { Drawing } from './protocol.ts';

export const drawPage = (page: Page, rev: number, theme: Theme): Drawing => ({
  key: page.key,
  rev,
  ...drawSlide(sceneSlide(page, 1, theme), theme),
});
