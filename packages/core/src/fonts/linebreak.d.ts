/** Types of the package `linebreak`, which ships none. */
declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { readonly position: number; readonly required?: boolean } | null;
  }
}
