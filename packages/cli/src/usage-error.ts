/** What was asked for is not understood, or cannot be done so. */
export class UsageError extends Error {}
