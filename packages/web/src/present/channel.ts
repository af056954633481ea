/** What the speaker's and the audience's window say to each other; the same messages could come from another device. */
import type { SlideId, Transition } from '@alvex/core';
import type { Drawing } from '../worker/shown.ts';
import type { Drawn, Place } from './strokes.ts';
import type { Move, Screen } from './talk.ts';

export interface SlideToShow {
  readonly drawing: Drawing;
  readonly number: number;
  readonly label: string;
  readonly transition: Transition;
  /** How many of its points are seen; null where all are. */
  readonly step: number | null;
}
export type SpeakerSays =
  /** What is seen, and what is drawn ahead of it. */
  | { readonly says: 'show'; readonly now: SlideToShow; readonly next: SlideToShow | null; readonly screen: Screen }
  /** Where the speaker points, in shares of the slide's width and height. */
  | { readonly says: 'point'; readonly at: Place | null }
  | Drawn
  | { readonly says: 'end' };
export type StageSays =
  | { readonly says: 'here' }
  | { readonly says: 'moved'; readonly move: Move }
  /** A link to a slide was followed. */
  | { readonly says: 'followed'; readonly to: SlideId }
  | { readonly says: 'gone' };

const nameOf = (deck: string): string => `alvex-talk-${deck}`;

/** One end of the line between both windows. */
export class TalkLine<Says extends SpeakerSays | StageSays, Hears extends SpeakerSays | StageSays> {
  readonly #channel: BroadcastChannel;
  readonly #from: 'speaker' | 'stage';

  constructor(deck: string, from: 'speaker' | 'stage', hear: (message: Hears) => void) {
    this.#from = from;
    this.#channel = new BroadcastChannel(nameOf(deck));
    this.#channel.onmessage = ({ data }: MessageEvent<{ from: string; message: Hears }>) => {
      // A second window of one's own side is not listened to.
      if (data.from !== from) hear(data.message);
    };
  }

  say(message: Says): void {
    this.#channel.postMessage({ from: this.#from, message });
  }

  close(): void {
    this.#channel.close();
  }
}
