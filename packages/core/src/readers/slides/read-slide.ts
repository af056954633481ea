/** A slide as the reader of a presentation finds it, whatever the format. */
import type { SourcePlace } from '../../base/index.ts';
import type { Draft } from '../read-result.ts';

/** In shares of the slide, from its upper left corner. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface SlidePiece {
  /** What the presentation says that it is for; `free` where it only stands there, `number` and `foot` belong to the page. */
  readonly role: 'title' | 'subtitle' | 'body' | 'free' | 'foot' | 'number';
  /** undefined where it is not said. */
  readonly box: Box | undefined;
  readonly size: number /* points of its largest text; 0 where it has none or says none */;
  readonly drafts: readonly Draft[];
}

export interface ReadSlide {
  readonly place: SourcePlace;
  /** What links within the presentation call it. */
  readonly name: string | undefined;
  /** By its layout. */
  readonly kind: 'cover' | 'opener' | 'content';
  readonly hidden: boolean;
  /** In the order of the file. */
  readonly pieces: readonly SlidePiece[];
  readonly notes: readonly Draft[];
  /** What comments at it say. */
  readonly remark: string | undefined;
}

export interface ReadSlides {
  readonly slides: readonly ReadSlide[];
  /** Names of sections by the place of their first slide. */
  readonly sections: ReadonlyMap<number, string>;
  /** Width by height of a slide. */
  readonly aspect: number;
}
