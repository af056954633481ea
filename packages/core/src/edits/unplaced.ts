/** An edit that finds no place: it is kept, and told with its reason. */
import type { Edit } from './edit.ts';
import type { UnplacedReason } from './reason.ts';

export interface Unplaced {
  readonly edit: Edit;
  readonly reason: UnplacedReason;
}
