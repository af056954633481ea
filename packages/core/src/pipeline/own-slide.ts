/** A slide that a presentation file had before, drawn over its layout. */
import { ptFromEmu } from '../base/index.ts';
import type { DrawnSlide } from '../scene/index.ts';
import type { TemplateModel } from '../template/index.ts';

/** @returns null for a slide that was not drawn. */
export function drawOwnSlide({ size, layouts, drawings }: TemplateModel, index: number): DrawnSlide | null {
  const slide = drawings?.[index];
  if (slide === undefined || slide === null) return null;
  const { ground, backdrop, grounds } = layouts[slide.layout]!;
  const behind = slide.ground?.items ?? backdrop.slice(0, grounds);
  return {
    size: { width: ptFromEmu(size.width), height: ptFromEmu(size.height) },
    ground: slide.ground?.color ?? ground,
    backdrop: [...behind, ...(slide.bare ? [] : backdrop.slice(grounds)), ...slide.items],
    behind: [],
    shapes: [],
    pictures: [],
    texts: [],
    number: null,
  };
}
