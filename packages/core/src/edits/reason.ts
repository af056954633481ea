/** Why an edit finds no place. `unknown`: only a newer version of Alvex knows what it does. */
export type UnplacedReason =
  'slide-gone' | 'part-gone' | 'notes-gone' | 'block-gone' | 'no-room' | 'id-taken' | 'unknown';
