/** Slides with all that belongs to them: notes, pictures, charts and their workbooks, colours of their own. */
import { USUAL_LANGUAGE } from '../../base/index.ts';
import { originMark, relationshipsOf, type Deflate, type ZipWriter } from '../../container/index.ts';
import type { PictureId } from '../../content/index.ts';
import { goalOf, type PictureSource, type Scene, type SceneSlide } from '../../scene/index.ts';
import type { Palette } from '../../theme/index.ts';
import { chartPart } from './chart-part.ts';
import { CHART_STYLES } from './chart-style.ts';
import { notesSlidePart } from './notes-part.ts';
import { slidePart } from './slide-part.ts';
import { themeOverridePart } from './theme-part.ts';
import { workbook } from './workbook.ts';
import { relationships, type Rel } from '../opc/package.ts';
import { Media } from '../slides/media.ts';

export const TYPES = 'application/vnd.openxmlformats-officedocument.presentationml';
const DRAWING = 'application/vnd.openxmlformats-officedocument';

/** Where slides find what is there already; both relative to a slide's folder. */
export interface Surroundings {
  /** Stands before the names of all parts, so that none meets one that is there. */
  readonly prefix: string;
  readonly layout: (slide: SceneSlide) => string;
  readonly notesMaster: string;
  /** Whether that is ours, with all that notes may have. */
  readonly ownNotes: boolean;
  /** Last changes to what is written of a slide. */
  readonly finish?: (xml: string, layout: SceneSlide['layout']) => string;
}

const END = '</p:sld>';

export class SlideParts {
  readonly zip: ZipWriter;
  readonly overrides: string[] = [];
  readonly media: Media;
  readonly #scene: Scene;
  readonly #at: Surroundings;
  readonly #deflate: Deflate | undefined;
  readonly #overridden = new Map<Palette, number>();
  /** The number of the first page of each slide. */
  readonly #numbers: ReadonlyMap<SceneSlide['id'], number>;
  #charts = 0;

  constructor(zip: ZipWriter, scene: Scene, pictures: PictureSource, at: Surroundings, deflate: Deflate | undefined) {
    this.zip = zip;
    this.media = new Media(pictures, `ppt/media/${at.prefix}`);
    this.#scene = scene;
    this.#at = at;
    this.#deflate = deflate;
    this.#numbers = new Map(scene.slides.map(({ id }, i) => [id, i + 1] as const).toReversed());
  }

  add(name: string, content: string, type?: string, rels?: readonly Rel[]): void {
    this.zip.add({ name, content });
    if (type !== undefined) this.overrides.push(`<Override PartName="/${name}" ContentType="${type}"/>`);
    if (rels !== undefined && rels.length > 0)
      this.zip.add({ name: relationshipsOf(name), content: relationships(rels) });
  }

  /** Endings of the media that were written, for the content types. */
  get defaults(): readonly (readonly [ending: string, type: string])[] {
    const pictures = this.media.endings.map((ending) => [ending, `image/${ending}`] as const);
    return this.#charts === 0 ? pictures : [...pictures, ['xlsx', `${DRAWING}.spreadsheetml.sheet`]];
  }

  pictureOf(rels: Rels): (id: PictureId) => string | undefined {
    return (id) => {
      const name = this.media.take(id);
      return name === undefined ? undefined : rels.add('image', name.replace('ppt/', '../'));
    };
  }

  slideName(number: number): string {
    return `slides/${this.#at.prefix}slide${number}.xml`;
  }

  addSlide(slide: SceneSlide, number: number): void {
    const { theme, language: said } = this.#scene;
    const { prefix, finish = (xml: string) => xml } = this.#at;
    const rels = new Rels();
    rels.add('slideLayout', this.#at.layout(slide));
    const language = said ?? USUAL_LANGUAGE;
    const jump = (lead: SceneSlide['id'] | undefined): string | undefined => {
      const to = lead === undefined ? undefined : this.#numbers.get(lead);
      return to === undefined ? undefined : rels.add('slide', this.slideName(to).replace('slides/', ''));
    };
    const xml = slidePart(slide, {
      theme,
      language,
      languages: slide.languages,
      link: (target) => rels.link(target),
      goal: (link) => jump(goalOf(this.#scene, link)),
      jump: (part) => jump(slide.leads.get(part)),
      picture: this.pictureOf(rels),
      chart: ({ chart }) => {
        const n = ++this.#charts;
        const book = `embeddings/${prefix}workbook${n}.xlsx`;
        // An archive itself: packing it again takes time for nothing.
        this.zip.add({ name: `ppt/${book}`, content: workbook(chart, this.#deflate), stored: true });
        const beside = new Rels();
        const content = finish(chartPart(chart, theme, language, beside.add('package', `../${book}`)), slide.layout);
        for (const style of CHART_STYLES) {
          const name = `${prefix}${style.name}${n}.xml`;
          this.add(`ppt/charts/${name}`, style.content, style.type);
          beside.add(style.relation, name);
        }
        this.add(`ppt/charts/${prefix}chart${n}.xml`, content, `${DRAWING}.drawingml.chart+xml`, beside.list);
        return rels.add('chart', `../charts/${prefix}chart${n}.xml`);
      },
    });
    if (slide.colors !== null) rels.add('themeOverride', this.#override(slide.colors.palette));
    if (slide.notes.length > 0) {
      const name = `notesSlides/${prefix}notesSlide${number}.xml`;
      rels.add('notesSlide', `../${name}`);
      const notesRels = new Rels();
      notesRels.add('notesMaster', this.#at.notesMaster);
      notesRels.add('slide', `../${this.slideName(number)}`);
      const context = { theme, language, link: (target: string) => notesRels.link(target) };
      const notes = notesSlidePart(slide.notes, context, this.#at.ownNotes);
      this.add(`ppt/${name}`, notes, `${TYPES}.notesSlide+xml`, notesRels.list);
    }
    const { origin } = this.#scene;
    const marked = origin === undefined ? xml : xml.replace(END, originMark(origin, xml) + END);
    this.add(`ppt/${this.slideName(number)}`, finish(marked, slide.layout), `${TYPES}.slide+xml`, rels.list);
  }

  #override(palette: Palette): string {
    let number = this.#overridden.get(palette);
    if (number === undefined) {
      this.#overridden.set(palette, (number = this.#overridden.size + 1));
      const content = themeOverridePart(palette, this.#scene.theme);
      this.add(`ppt/theme/${this.#at.prefix}themeOverride${number}.xml`, content, `${DRAWING}.themeOverride+xml`);
    }
    return `../theme/${this.#at.prefix}themeOverride${number}.xml`;
  }
}

export class Rels {
  readonly list: Rel[] = [];

  /** One relationship for one target. */
  add(type: string, target: string, external = false): string {
    const known = this.list.find((rel) => rel.type === type && rel.target === target);
    if (known !== undefined) return known.id;
    const id = `rId${this.list.length + 1}`;
    this.list.push({ id, type, target, ...(external ? { external } : {}) });
    return id;
  }

  link(target: string): string | undefined {
    return target.startsWith('#') ? undefined : this.add('hyperlink', target, true);
  }
}
