import type { Fault } from '../cook/cook';
import type { Debrief, Noticed } from '../cook/look-back';
import type { LessonId } from './lesson';

/** What was noticed late, and the lesson on what it costs. */
const ofLate: Readonly<Record<Noticed['what'], LessonId>> = {
  'pin-up': 'wait',
  burn: 'tomato',
  'hold-end': 'natural',
  'pin-down': 'natural',
};
const ofFault: Readonly<Partial<Record<Fault, LessonId>>> = {
  'burn-cut-out': 'tomato',
  'slow-seal': 'wait',
  'weak-heater': 'wait',
  'leaking-ring': 'wait',
};

/** The lesson that a practice ends with: raw meat first, then what was noticed late, then what was wrong with the cooker; null where all went well. */
export function lessonOfPractice({
  food,
  noticed,
  faults,
}: Pick<Debrief, 'food' | 'noticed' | 'faults'>): LessonId | null {
  if (food?.meats.some((m) => !m.ok)) return 'strips';
  const late = noticed.find((n) => !n.prompt);
  if (late) return ofLate[late.what];
  return faults.map((f) => ofFault[f]).find((lesson) => lesson !== undefined) ?? null;
}
