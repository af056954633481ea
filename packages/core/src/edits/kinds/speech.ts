/** Decides how much of what the document gives to be spoken stays in the notes: all of it, or its main sentences. */
import type { EditKind } from '../kind.ts';

export interface SpeechEdit {
  readonly kind: 'speech';
  /** Of the words of each slide's notes, above 0 and below 1; null speaks all of them. */
  readonly share: number | null;
}

export const speech: EditKind<SpeechEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'speech', edit }),
  decide(draft, { share }) {
    draft.speech = share;
  },
  says: ({ share }) =>
    share === null ? { code: 'speech-whole' } : { code: 'speech', text: `${Math.round(share * 100)} %` },
};
