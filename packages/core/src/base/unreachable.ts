/** Lets the compiler prove that a switch over a closed union names every member. */
export function unreachable(value: never): never {
  throw new TypeError(`Unexpected value: ${JSON.stringify(value)}`);
}
