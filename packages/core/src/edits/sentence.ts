/** What an edit did, as a code with what it is about; hosts have the words. */
import type { BlockId } from '../ids/index.ts';

const SENTENCE_CODES = [
  'accept',
  'accept-all',
  'accept-all-back',
  'accept-back',
  'add',
  'arrange',
  'arrange-back',
  'branch',
  'branch-back',
  'breaks-off',
  'breaks-on',
  'carry',
  'chart',
  'chart-off',
  'colors',
  'colors-back',
  'cut',
  'description',
  'drop',
  'duplicate',
  'edition',
  'fonts',
  'fonts-own',
  'foot',
  'frame',
  'full',
  'full-at',
  'full-at-back',
  'hide',
  'icon',
  'icon-off',
  'insert',
  'join',
  'keep',
  'layout',
  'layout-back',
  'leave',
  'level-in',
  'level-out',
  'map',
  'map-own',
  'matter-off',
  'matter-on',
  'merge',
  'mode-dark',
  'mode-light',
  'mode-own',
  'motion',
  'motion-at',
  'motion-at-back',
  'motion-at-points',
  'motion-points',
  'move',
  'order',
  'pace',
  'palette',
  'palette-made',
  'palette-own',
  'place',
  'prose-first',
  'prose-short',
  'prose-told',
  'prose-whole',
  'rehearse',
  'rehearse-off',
  'remove',
  'renote',
  'renote-off',
  'replace',
  'restore',
  'retitle',
  'reword',
  'reword-off',
  'shape',
  'show',
  'speak',
  'speech',
  'speech-whole',
  'split',
  'take-deleted',
  'take-kept',
  'mix',
  'mix-back',
  'target-minutes',
  'target-none',
  'target-slides',
  'template',
  'template-none',
  'theme',
  'turn',
  'turn-back',
  'type',
  'type-own',
  'unknown',
  'write',
] as const;
export type SentenceCode = (typeof SENTENCE_CODES)[number];

/** A name of ours, for which hosts have a word. */
export interface Label {
  readonly of:
    'map' | 'density' | 'kind' | 'destination' | 'full' | 'matter' | 'ruled' | 'layout' | 'chart' | 'transition';
  readonly name: string;
}

export interface Sentence {
  readonly code: SentenceCode;
  /** The passage that it is about. */
  readonly block?: BlockId;
  /** Of the author's, or a name that is the same in every language. */
  readonly text?: string;
  readonly count?: number;
  readonly labels?: readonly Label[];
}
