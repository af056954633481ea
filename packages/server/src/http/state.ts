/** What a request carries along: who asks, and what lets the page's own style sheets in. */
import type { Context as Asker } from '../services/context.ts';

declare module 'koa' {
  interface DefaultState {
    /** Of whoever asks. */
    context: Asker;
    /** New for every answer. */
    nonce: string;
  }
}
