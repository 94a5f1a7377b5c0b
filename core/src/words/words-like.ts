/** The words of a catalogue in another language: the same codes, each with a text. */
export type WordsLike<C> = { readonly [S in keyof C]: { readonly [K in keyof C[S]]: string } };
