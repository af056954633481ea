/** One of several was asked for, and there are not so many. */
export class NoSuchPart extends Error {
  /** @param of How many there are. */
  constructor(what: 'slide' | 'table', number: number, of: number) {
    super(`There is no ${what} ${number}; ${of === 0 ? 'there is none' : `the last is ${of}`}.`);
    this.name = 'NoSuchPart';
  }
}
