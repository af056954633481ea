/** A deck of more slides is read, not presented. */
export const MOST_PRESENTED = 60;
