import { bandKey } from '../src/plan/judge/band-key';

// Common practice: nobody calls a right risotto fluffy, nor a right porridge.
test.each([
  ['risotto', 'fluffy', 'risotto-fluffy'],
  ['risotto', 'mushy', 'mushy'],
  ['porridge', 'fluffy', 'porridge-fluffy'],
  ['porridge', 'hard', 'hard'],
  ['plain-grain', 'fluffy', 'fluffy'],
  ['one-pot-pasta', 'al-dente', 'al-dente'],
])('in %s the band "%s" has the word of "%s"', (family, band, key) => {
  expect(bandKey(family, band)).toBe(key);
});
