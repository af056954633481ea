/** An edit that finds no place: it is kept, and told with its reason. */
import type { Edit } from './edit.ts';

export interface Unplaced {
  readonly edit: Edit;
  readonly reason: UnplacedReason;
}
export type UnplacedReason = 'slide-gone' | 'part-gone' | 'notes-gone' | 'block-gone' | 'no-room' | 'id-taken';
