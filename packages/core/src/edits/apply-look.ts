/** Lays what the author decided of the look of single slides and their parts over the slides. */
import type { Content, PicturePart, Slide, SlideId } from '../deck/index.ts';
import type { Desk } from './desk.ts';
import type { LookEdit } from './edit.ts';
import type { UnplacedReason } from './unplaced.ts';

type SlideLook = Extract<
  LookEdit,
  { kind: 'arrange' | 'layout' | 'colors' | 'icon' | 'chart' | 'frame' | 'replace' | 'place' | 'alt' | 'drop' }
>;

export function applyLook(desk: Desk, edit: SlideLook): UnplacedReason | undefined {
  switch (edit.kind) {
    case 'arrange': {
      const layouts = new Map(edit.layouts.map(({ slide, layout }) => [slide, layout]));
      for (const slide of [...desk.slides.values()]) {
        const layout = layouts.get(slide.id);
        if (layout === slide.arranged) continue;
        const { arranged: _, ...plain } = slide;
        desk.put(layout === undefined ? plain : { ...plain, arranged: layout });
      }
      return undefined;
    }
    case 'layout':
      return changeSlides(desk, edit.slides, ({ layout: _, ...plain }) =>
        edit.layout === null ? plain : { ...plain, layout: edit.layout },
      );
    case 'colors': {
      const { palette, dark } = edit;
      return changeSlides(desk, edit.slides, ({ colors: _, ...plain }) =>
        palette === null && dark === null ? plain : { ...plain, colors: { palette, dark } },
      );
    }
    case 'icon':
      return changePart(desk, edit.part, 'point', ({ icon: _, ...plain }) =>
        edit.icon === null ? plain : { ...plain, icon: edit.icon },
      );
    case 'chart':
      return changePart(desk, edit.part, 'table', ({ chart: _, ...plain }) =>
        edit.chart === null ? plain : { ...plain, chart: edit.chart },
      );
    case 'frame':
      return changePart(desk, edit.part, 'picture', ({ dress: _, ...plain }) =>
        edit.dress === null ? plain : { ...plain, dress: edit.dress },
      );
    case 'replace':
      return changePart(desk, edit.part, 'picture', (part) => ({
        ...part,
        picture: edit.picture.id,
        own: edit.picture,
        alt: edit.alt,
      }));
    case 'alt':
      return changePart(desk, edit.part, 'picture', (part) => ({ ...part, alt: edit.alt }));
    case 'place': {
      const slide = desk.slides.get(edit.slide);
      if (slide === undefined) return 'slide-gone';
      if (slide.kind === 'section') return 'no-room';
      const { picture, alt, after } = edit;
      const part: PicturePart = { kind: 'picture', id: edit.part, blocks: [], picture: picture.id, own: picture, alt };
      const at = slide.content.findIndex(({ id }) => id === after);
      const where = after === null ? 0 : at < 0 ? slide.content.length : at + 1;
      desk.settle({ ...slide, content: slide.content.toSpliced(where, 0, part) });
      return undefined;
    }
    case 'drop': {
      const slide = desk.slideOf(edit.part);
      const part = slide?.content.find(({ id }) => id === edit.part);
      if (slide === undefined || part?.kind !== 'picture' || part.own === undefined) return 'part-gone';
      // Of a picture that was replaced, the document's own is left out with it.
      desk.leaveOut(part.blocks);
      desk.settle({ ...slide, content: slide.content.filter((one) => one !== part) });
      return undefined;
    }
  }
}

export function changeSlides(
  desk: Desk,
  ids: readonly SlideId[],
  change: (slide: Slide) => Slide,
): UnplacedReason | undefined {
  const found = ids.flatMap((id) => desk.slides.get(id) ?? []);
  for (const slide of found) desk.put(change(slide));
  return found.length === 0 ? 'slide-gone' : undefined;
}

function changePart<K extends Content['kind']>(
  desk: Desk,
  id: string,
  kind: K,
  change: (part: Extract<Content, { kind: K }>) => Content,
): UnplacedReason | undefined {
  const slide = desk.slideOf(id);
  const part = slide?.content.find((one) => one.id === id);
  if (slide === undefined || part?.kind !== kind) return 'part-gone';
  const content = slide.content.map((one) => (one === part ? change(part as Extract<Content, { kind: K }>) : one));
  desk.put({ ...slide, content });
  return undefined;
}
