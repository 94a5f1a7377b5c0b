/** A number as it stands in a plain line, as the source of a regular expression. */
export const numberSource = String.raw`(?:\d+(?:[.,]\d+)?\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?)`;

/** Numbers as words, folded. */
export const numberWords: Readonly<Record<string, number>> = {
  ...{
    a: 1,
    an: 1,
    one: 1,
    two: 2,
    three: 3,
    four: 4,
    five: 5,
    six: 6,
    seven: 7,
    eight: 8,
    nine: 9,
    ten: 10,
    twelve: 12,
  },
  ...{ half: 0.5, quarter: 0.25, couple: 2 },
  ...{ un: 1, una: 1, uno: 1, dos: 2, tres: 3, cuatro: 4, cinco: 5, seis: 6, siete: 7, ocho: 8, nueve: 9, diez: 10 },
  ...{ doce: 12, medio: 0.5, media: 0.5, cuarto: 0.25, par: 2 },
};
