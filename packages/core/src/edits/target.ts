/** What the deck should come to. */
export interface Target {
  readonly unit: 'slides' | 'minutes';
  readonly amount: number;
}
