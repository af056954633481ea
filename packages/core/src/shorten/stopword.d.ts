/** What is used of the package `stopword`, which ships no types: lists of words by language. */
declare module 'stopword' {
  export const deu: readonly string[];
  export const eng: readonly string[];
  export const fra: readonly string[];
  export const ita: readonly string[];
  export const nld: readonly string[];
  export const por: readonly string[];
  export const porBr: readonly string[];
  export const spa: readonly string[];
}
