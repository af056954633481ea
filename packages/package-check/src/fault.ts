/** What is wrong with a package, and in which part. */
export interface Fault {
  /** Name of the part; empty for the package as a whole. */
  readonly part: string;
  readonly message: string;
}
