import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { waitMs } from '../src/app/api/back-off';
import { cookChange } from '../src/app/api/cook-change';
import type { Change } from '../src/app/api/change';
import { Outbox } from '../src/app/api/outbox';

/* Settings and ratings on their way to the server, in a browser that keeps nothing on its disk. */
function open(): { outbox: Outbox; http: HttpTestingController } {
  TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
  return { outbox: TestBed.inject(Outbox), http: TestBed.inject(HttpTestingController) };
}
const settings = (had: object, wanted: object): Change => ({
  key: 'kitchen',
  path: '/api/kitchen',
  body: { had, wanted },
});
const away = { status: 0, statusText: 'Unknown Error' };
/** The request that is on its way next. */
const asked = async (http: HttpTestingController, path: string) => {
  for (let i = 0; i < 100; i++) {
    const [found] = http.match(path);
    if (found) return found;
    await Promise.resolve();
  }
  throw new Error(`nothing is asked of ${path}`);
};

test('what the server does not answer waits, a later wish takes its place, and all of it is sent when the network is back', async () => {
  const { outbox, http } = open();
  const heard: unknown[] = [];
  outbox.onKept('kitchen', (k) => heard.push(k));
  const first = outbox.send(settings({ units: 'metric' }, { units: 'cups' }));
  (await asked(http, '/api/kitchen')).error(new ProgressEvent('error'), away);
  expect(await first).toEqual({ state: 'waiting' });
  const second = outbox.send(settings({ units: 'metric', theme: 'auto' }, { units: 'cups', theme: 'dark' }));
  (await asked(http, '/api/kitchen')).error(new ProgressEvent('error'), away);
  await second;
  expect([outbox.count(), outbox.isFleeting()]).toEqual([1, true]);
  dispatchEvent(new Event('online'));
  const sent = await asked(http, '/api/kitchen');
  expect(sent.request.body.wanted).toEqual({ units: 'cups', theme: 'dark' });
  sent.flush({ units: 'cups' });
  await new Promise((done) => setTimeout(done));
  expect([outbox.count(), heard]).toEqual([0, [{ units: 'cups' }]]);
});
test('a change that was begun as the page was left is found by the next one, and sent once', async () => {
  const { outbox, http } = open();
  outbox.begin(settings({ potId: 'a' }, { potId: 'b' }));
  const other = outbox.send({ key: 'cook:1', path: '/api/cooks/1', body: { had: null } });
  (await asked(http, '/api/cooks/1')).flush({});
  await other;
  dispatchEvent(new Event('pagehide'));
  TestBed.resetTestingModule();
  const next = open();
  await next.outbox.found;
  expect(next.outbox.of('kitchen')).toEqual(settings({ potId: 'a' }, { potId: 'b' }));
  expect(next.outbox.count()).toBe(1);
  (await asked(next.http, '/api/kitchen')).flush({ potId: 'b' });
  await new Promise((done) => setTimeout(done));
  expect([next.outbox.count(), localStorage.length]).toEqual([0, 0]);
});
test('of a cook the server compares with what the screen had before its first change that waits', async () => {
  const { outbox, http } = open();
  const rated = { ratings: { grain: 2 } };
  const path = '/api/cooks/c1';
  const first = outbox.send(cookChange('c1', { outcome: rated, had: null }));
  (await asked(http, path)).error(new ProgressEvent('error'), away);
  await first;
  const second = outbox.send(cookChange('c1', { outcome: { ...rated, note: 'salt' }, had: rated }));
  const { request } = await asked(http, path).then((r) => (r.flush({}), r));
  expect(request.body).toEqual({ outcome: { ...rated, note: 'salt' }, had: null });
  expect(await second).toEqual({ state: 'kept', value: {} });
});
test('a collision is a question: mine is written over what the other screen said, or stays away', async () => {
  const { outbox, http } = open();
  const sent = outbox.send(settings({ altitudeM: 0 }, { altitudeM: 900 }));
  const conflict = { status: 409, statusText: 'Conflict' };
  (await asked(http, '/api/kitchen')).flush({ code: 'kitchen-changed', detail: 'changed', issues: [] }, conflict);
  expect(await sent).toEqual({ state: 'asked' });
  expect(outbox.refused()).toMatchObject({ collides: true });
  // Until it is settled a file can be had of it.
  expect(outbox.unsent()).toEqual([settings({ altitudeM: 0 }, { altitudeM: 900 })]);
  const settled = outbox.settle(true);
  (await asked(http, '/api/kitchen')).flush({ altitudeM: 500, units: 'cups' });
  const again = await asked(http, '/api/kitchen');
  expect(again.request.body).toEqual({ had: { altitudeM: 500 }, wanted: { altitudeM: 900 } });
  again.flush({ altitudeM: 900 });
  await settled;
  expect(outbox.refused()).toBeNull();
});
test('what is wrong is no question: the field is told where it was changed', async () => {
  const { outbox, http } = open();
  const sent = outbox.send(settings({}, { altitudeM: 99_999 }));
  const bad = { status: 400, statusText: 'Bad Request' };
  (await asked(http, '/api/kitchen')).flush({ code: 'kitchen-invalid', detail: 'no', issues: [] }, bad);
  await expect(sent).rejects.toMatchObject({ status: 400 });
  expect(outbox.count()).toBe(0);
});
test('a server that is busy is no refusal: the change waits', async () => {
  const { outbox, http } = open();
  const sent = outbox.send(settings({ units: 'metric' }, { units: 'cups' }));
  (await asked(http, '/api/kitchen')).flush('slow down', { status: 429, statusText: 'Too Many Requests' });
  expect(await sent).toEqual({ state: 'waiting' });
});
test('tries come later and later, at most a minute apart', () => {
  expect([0, 1, 2, 3, 4, 5, 20].map(waitMs)).toEqual([2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000]);
});
