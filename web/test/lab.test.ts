import { cookLesson, guesses, lessonIds, lessons, type LessonId } from '@einkorn/core';
import { english as en } from '../src/app/i18n/english';
import { LabActions, labFeature, learntOf } from '../src/app/lab/lab.slice';

const { reducer } = labFeature;
const opened = (lesson: LessonId) => reducer(undefined, LabActions.open({ lesson }));

test('a guess counts once, and none before both pots are cooked', () => {
  const early = reducer(opened('salt'), LabActions.guess({ guess: 'more' }));
  expect(early.guess).toBeNull();
  const cooked = reducer(early, LabActions.cooked({ run: cookLesson(lessons.salt) }));
  const guessed = reducer(cooked, LabActions.guess({ guess: 'less' }));
  expect(reducer(guessed, LabActions.guess({ guess: 'more' })).guess).toBe('less');
  expect(reducer(guessed, LabActions.again())).toMatchObject({ lesson: 'salt', guess: null, run: null });
});

test('pots of a lesson that was left are not shown in the next', () => {
  const s = reducer(opened('rack'), LabActions.cooked({ run: cookLesson(lessons.salt) }));
  expect(s.run).toBeNull();
});

test('what was learned: the first guess of each lesson and the last', () => {
  const said = (lesson: LessonId, right: boolean, atMs: number) => ({ lesson, guess: 'more' as const, right, atMs });
  const learnt = learntOf([
    said('salt', false, 1),
    said('rack', true, 2),
    said('salt', true, 3),
    said('rinse', false, 4),
  ]);
  expect(learnt).toEqual({
    last: { salt: true, rack: true, rinse: false },
    guessed: 3,
    firstRight: 1,
    nowRight: 2,
  });
  expect(learntOf().guessed).toBe(0);
});

test('every lesson, guess and line of a sum has its words', () => {
  const words: Record<'lesson' | 'question' | 'slider' | 'guess' | 'row' | 'choice', Record<string, string>> = en.lab;
  const { lesson, question, slider, guess, row, choice } = words;
  for (const id of lessonIds) {
    const run = cookLesson(lessons[id]);
    expect([id, lesson[id], question[id], slider[id]]).not.toContain(undefined);
    for (const g of guesses) expect([`${run.scale}-${g}`, guess[`${run.scale}-${g}`]]).not.toContain(undefined);
    for (const r of run.right.rows) expect([r.code, row[r.code]]).not.toContain(undefined);
    if (run.slider.unit === 'choice') expect([choice[`${id}-0`], choice[`${id}-1`]]).not.toContain(undefined);
  }
});
