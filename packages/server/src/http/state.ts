/** What a request carries along: who asks, and what lets the page's own style sheets in. */
import type { Context as Asker } from '../services/context.ts';
import type { Once } from '../services/once.ts';

declare module 'koa' {
  interface DefaultState {
    /** Of whoever asks. */
    context: Asker;
    /** Told what was answered to a request with a key, once it is known; nothing where it was not done. */
    answered?: Once['end'];
    /** New for every answer. */
    nonce: string;
  }
}
