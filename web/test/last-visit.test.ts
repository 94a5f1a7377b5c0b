import { HttpClient, HttpErrorResponse, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { firstValueFrom } from 'rxjs';
import { isKept, lastVisit, LastVisit, type Kept } from '../src/app/api/last-visit';

describe('what is kept of a visit', () => {
  test.each([
    ['GET', '/api/kitchen', true],
    ['GET', '/api/dishes', true],
    ['GET', '/api/dishes?archived=true', true],
    ['GET', '/api/dishes/plain-long-grain', true],
    ['GET', '/api/cooks', true],
    ['GET', '/api/cooks?sort=newest', true],
    ['GET', '/api/cooks?practice=false&limit=200', true],
    // A running cook has its own copy, with taps that the last answer may not have.
    ['GET', '/api/cooks?running=true', false],
    ['GET', '/api/cooks/cook-1', false],
    ['GET', '/api/cooks?text=rice', false],
    ['GET', '/api/cooks?sort=newest&after=50', false],
    ['GET', '/api/keys', false],
    ['GET', '/api/kitchens', false],
    ['PUT', '/api/kitchen', false],
    ['POST', '/api/dishes', false],
  ])('%s %s: %s', (method, urlWithParams, kept) => expect(isKept({ method, urlWithParams })).toBe(kept));
});

describe('a server that does not answer', () => {
  let http: HttpClient;
  let server: HttpTestingController;
  let visit: LastVisit;
  const disk = new Map<string, Kept>();

  beforeEach(() => {
    disk.clear();
    TestBed.configureTestingModule({
      providers: [provideHttpClient(withInterceptors([lastVisit])), provideHttpClientTesting()],
    });
    http = TestBed.inject(HttpClient);
    server = TestBed.inject(HttpTestingController);
    visit = TestBed.inject(LastVisit);
    jest.spyOn(visit, 'keep').mockImplementation((kept) => Promise.resolve(void disk.set(kept.url, kept)));
    jest.spyOn(visit, 'find').mockImplementation((url) => Promise.resolve(disk.get(url) ?? null));
  });
  const asked = (url: string): Promise<unknown> => firstValueFrom(http.get(url));
  const away = (url: string): void => server.expectOne(url).error(new ProgressEvent('error'));

  test('is stood in for by its last answer, and the screen says of when it is, until it answers again', async () => {
    const first = asked('/api/dishes');
    server.expectOne('/api/dishes').flush([{ id: 'a' }]);
    expect(await first).toEqual([{ id: 'a' }]);
    expect(visit.asOfMs()).toBeNull();

    const again = asked('/api/dishes');
    away('/api/dishes');
    expect(await again).toEqual([{ id: 'a' }]);
    expect(visit.asOfMs()).toBe(disk.get('/api/dishes')!.atMs);

    const back = asked('/api/health');
    server.expectOne('/api/health').flush({});
    await back;
    expect(visit.asOfMs()).toBeNull();
  });

  test('a dish that was never opened is as the shelf had it', async () => {
    disk.set('/api/dishes', { url: '/api/dishes', body: [{ id: 'a b', revision: 3 }], atMs: 7 });
    const dish = asked('/api/dishes/a%20b');
    away('/api/dishes/a%20b');
    expect(await dish).toEqual({ id: 'a b', revision: 3 });
    const other = asked('/api/dishes/c');
    away('/api/dishes/c');
    await expect(other).rejects.toBeInstanceOf(HttpErrorResponse);
  });

  test('the oldest of what is shown is what is said', () => {
    visit.shown(2000);
    visit.shown(1000);
    visit.shown(3000);
    expect(visit.asOfMs()).toBe(1000);
  });

  test('says so where nothing was kept; and a refusal is an answer', async () => {
    const never = asked('/api/dishes/new');
    away('/api/dishes/new');
    await expect(never).rejects.toBeInstanceOf(HttpErrorResponse);
    disk.set('/api/dishes/gone', { url: '/api/dishes/gone', body: {}, atMs: 1 });
    const gone = asked('/api/dishes/gone');
    server.expectOne('/api/dishes/gone').flush({}, { status: 404, statusText: 'missing' });
    await expect(gone).rejects.toMatchObject({ status: 404 });
    expect(visit.asOfMs()).toBeNull();
  });

  test('what was to be written is never said to be', async () => {
    const written = firstValueFrom(http.put('/api/kitchen', {}));
    away('/api/kitchen');
    await expect(written).rejects.toBeInstanceOf(HttpErrorResponse);
  });
});
