/** Brings all that the talk needs while the server is there: drawings, pictures, fonts. */
import { useEffect } from 'react';
import { pictureUrl } from '../api/client.ts';
import { usePages, wantPage } from '../state/pages-store.ts';
import type { Drawing } from '../worker/shown.ts';
import type { ShownSlide } from './shown-slides.ts';

const STEP = 12; // slides at a time, so that the worker has time for what is seen
const STEP_MS = 60;

export function useAhead(deck: string, slides: readonly ShownSlide[]): void {
  useEffect(() => {
    let at = 0;
    const timer = setInterval(() => {
      for (const { key } of slides.slice(at, at + STEP)) wantPage(key);
      at += STEP;
      if (at >= slides.length) clearInterval(timer);
    }, STEP_MS);
    const known = new Set<string>();
    const take = (drawings: ReadonlyMap<string, Drawing>) => {
      for (const drawing of drawings.values()) keep(deck, drawing, known);
    };
    take(usePages.getState().drawings);
    const stop = usePages.subscribe(({ drawings }, before) => drawings !== before.drawings && take(drawings));
    return () => {
      clearInterval(timer);
      stop();
    };
  }, [deck, slides]);
}

/** Pictures and fonts of one slide, each once; the browser keeps them for every window. */
function keep(deck: string, drawing: Drawing, known: Set<string>): void {
  if (known.has(`${drawing.key} ${drawing.rev}`)) return;
  known.add(`${drawing.key} ${drawing.rev}`);
  const backdrop = drawing.backdrop.flatMap((item) => (item.kind === 'picture' ? [item] : []));
  for (const { picture } of [...drawing.pictures, ...drawing.behind, ...backdrop]) {
    if (known.has(picture)) continue;
    known.add(picture);
    new Image().src = pictureUrl(deck, picture);
  }
  for (const { pieces } of drawing.texts)
    for (const { family, bold, italic, text } of pieces) {
      const font = `${italic ? 'italic ' : ''}${bold ? 'bold ' : ''}16px '${family}'`;
      if (known.has(font)) continue;
      known.add(font);
      void document.fonts.load(font, text).catch(() => {});
    }
}
