import { localMinute, localMs, timeOfDayMs } from '../src/app/i18n/time-of-day';

/* Central European time: on 28 March 2027 the clock goes from 2:00 to 3:00, on 25 October 2026 from 3:00 back to 2:00. */
const zone = 'CET';
const ms = (iso: string): number => Date.parse(iso);

test.each([
  ['in the afternoon, the same evening', '19:00', '2026-11-29T14:00:00Z', '2026-11-29T18:00:00Z'],
  ['a little late, still this evening', '19:00', '2026-11-29T18:30:00Z', '2026-11-29T18:00:00Z'],
  ['shortly before midnight, the next day', '00:30', '2026-11-29T22:30:00Z', '2026-11-29T23:30:00Z'],
  ['in the night to summer time', '07:00', '2027-03-28T00:00:00Z', '2027-03-28T05:00:00Z'],
  ['at a time that summer time leaves out, an hour later', '02:30', '2027-03-28T00:00:00Z', '2027-03-28T01:30:00Z'],
  ['in the night back to winter time', '07:00', '2026-10-25T00:00:00Z', '2026-10-25T06:00:00Z'],
  ['tomorrow across the change: 23 hours on', '00:15', '2027-03-27T22:30:00Z', '2027-03-27T23:15:00Z'],
])('%s', (_, time, now, then) => {
  expect(new Date(timeOfDayMs(time, ms(now), zone)).toISOString()).toBe(new Date(then).toISOString());
});

test('a local minute goes into its field and comes back', () => {
  const text = localMinute(ms('2026-07-01T17:07:31Z'), zone);
  expect(text).toBe('2026-07-01T19:07');
  const [day, time] = text.split('T') as [string, string];
  expect(localMs(day, time, zone)).toBe(ms('2026-07-01T17:07:00Z'));
  expect(localMs('2026-13-01', '19:00', zone)).toBeNaN();
});
