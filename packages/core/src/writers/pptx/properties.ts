/** What a presentation says of itself (ECMA-376-1 §22.2). */
import type { Scene } from '../../scene/index.ts';
import { XML, type Described } from '../opc/package.ts';

export const APP_TYPE = 'application/vnd.openxmlformats-officedocument.extended-properties+xml';

export function appProperties({ slides }: Scene): string {
  const [hidden, notes] = [slides.filter((slide) => slide.hidden), slides.filter((slide) => slide.notes.length > 0)];
  return `${XML}<Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties"><Slides>${slides.length}</Slides><Notes>${notes.length}</Notes><HiddenSlides>${hidden.length}</HiddenSlides><Application>Alvex</Application></Properties>`;
}

/** A deck without a title is called after its first slide. */
export const describedBy = (scene: Scene): Described => ({ ...scene, title: scene.title ?? scene.slides[0]?.title });
