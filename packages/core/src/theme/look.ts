/** The look of a deck as its author chose it: what a theme's design is dressed with. */
import type { Picture } from '../content/index.ts';
import type { ColorName, PaletteSeed } from './palette.ts';

export type FontRole = 'heading' | 'body' | 'mono';
export type Align = 'left' | 'center' | 'right';

/** A theme's own palette by name, or one that was made of a colour or of a picture's colours. */
export type PaletteChoice =
  { readonly from: 'theme'; readonly name: string } | ({ readonly from: 'colors' } & PaletteSeed);

/** One rule for all text of a role; what is absent is as the theme says. */
export interface TextRule {
  readonly font?: FontRole;
  readonly size?: number /* points */;
  readonly bold?: boolean;
  readonly color?: ColorName;
  readonly caps?: boolean;
  readonly align?: Align;
  /** Before each paragraph; of speaker notes alone, which have no more than a size beside it. */
  readonly space?: number /* points */;
}
export const RULED_ROLES = ['title', 'points', 'caption', 'notes'] as const;
export type RuledRole = (typeof RULED_ROLES)[number];

/** Where something at the foot is shown. */
export const FOOT_PLACES = ['cover', 'section', 'content'] as const;
export type FootPlace = (typeof FOOT_PLACES)[number];

/** What repeats on slides: each by the kinds of slides that show it. */
export interface Foot {
  readonly number: readonly FootPlace[];
  readonly footer: { readonly text: string; readonly on: readonly FootPlace[] };
  /** As it is to be read; the deck keeps no clock. */
  readonly date: {
    readonly text: string;
    readonly on: readonly FootPlace[];
    /** Whether a presentation shows in its place the day on which it is seen. */
    readonly live?: boolean;
  };
  readonly logo: { readonly picture: Picture; readonly alt: string; readonly on: readonly FootPlace[] } | null;
}
export const USUAL_FOOT: Foot = {
  number: ['content'],
  footer: { text: '', on: ['content'] },
  date: { text: '', on: ['content'] },
  logo: null,
};

export interface DeckLook {
  /** Name of a design. */
  readonly theme: string;
  readonly palette: PaletteChoice | null /* the theme's first */;
  readonly dark: boolean | null /* as the theme is seen first */;
  readonly fonts: string | null /* the theme's own pair */;
  readonly rules: Readonly<Partial<Record<RuledRole, TextRule>>>;
  readonly foot: Foot;
  /** Of a document that is written from right to left. */
  readonly mirrored?: true;
}
