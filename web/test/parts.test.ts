import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideTransloco, TranslocoService, type Translation } from '@jsverse/transloco';
import { kitchenSchema, plan } from '@einkorn/core';
import { provideStore } from '@ngrx/store';
import { of } from 'rxjs';
import { english as en } from '../src/app/i18n/english';
import { Format } from '../src/app/i18n/format';
import { KitchenActions, kitchenFeature } from '../src/app/state/kitchen';
import { Checkbox } from 'primeng/checkbox';
import { Bound } from '../src/app/ui/bound';
import { Ribbon } from '../src/app/ui/ribbon';
import { VerdictStrip } from '../src/app/ui/verdict-strip';
import { turkeyDish } from './dishes';

beforeEach(async () => {
  TestBed.configureTestingModule({
    providers: [
      provideStore({ kitchen: kitchenFeature.reducer }),
      provideTransloco({
        config: { availableLangs: ['en'], defaultLang: 'en' },
        loader: class {
          getTranslation = () => of(en as unknown as Translation);
        },
      }),
    ],
  });
  await new Promise<void>((done) => TestBed.inject(TranslocoService).load('en').subscribe({ complete: done }));
});

describe('figures', () => {
  const fmt = () => TestBed.inject(Format);
  test.each([
    [355, '1½ cups'],
    [236.6, '1 cup'],
    [30, '2 tbsp'],
    [80, '⅓ cup'],
  ])('%d mL is %s', (ml, text) => expect(fmt().cups(ml)).toBe(text));
  test('units switch what is shown, at once and both ways', async () => {
    const { Store } = await import('@ngrx/store');
    expect([fmt().ml(357), fmt().mlOther(357)]).toEqual(['355 mL', '1½ cups']);
    TestBed.inject(Store).dispatch(KitchenActions.change({ change: { units: 'cups' } }));
    expect([fmt().ml(357), fmt().mlOther(357)]).toEqual(['1½ cups', '355 mL']);
  });
  test.each([
    [148_000, '2:28'],
    [600_000, '10:00'],
    [3_900_000, '1:05:00'],
    [-5, '0:00'],
  ])('a clock of %d ms reads %s', (ms, text) => expect(fmt().clock(ms)).toBe(text));
  test('minutes in halves below five, whole above', () =>
    expect([2.5, 4.74, 9.6].map((m) => fmt().minutes(m))).toEqual(['2½', '4½', '10']));
});

describe('verdict strip', () => {
  @Component({
    imports: [VerdictStrip],
    template: `<ek-verdict-strip
      kind="Grain"
      verdict="fluffy"
      fill="none"
      tint="none"
      [from]="56"
      [to]="78"
      [bands]="bands"
      [at]="at()"
      [low]="at() - 1"
      [high]="at() + 1"
    />`,
  })
  class Host {
    readonly at = signal(66);
    readonly bands = [
      { label: 'firm', to: 63.5 },
      { label: 'fluffy', to: 68 },
      { label: 'soft', to: 78 },
    ];
  }
  test.each([
    [50, 'firm'],
    [63.49, 'firm'],
    [63.5, 'fluffy'],
    [68, 'soft'],
    [95, 'soft'],
  ])('an index of %d lies in %s', (at, band) => {
    const f = TestBed.createComponent(Host);
    f.componentInstance.at.set(at);
    f.detectChanges();
    const chosen = [...(f.nativeElement as HTMLElement).querySelectorAll('.chosen')].map((e) => e.textContent.trim());
    expect(chosen).toEqual([band]);
  });
});

test('ribbon: arrows and brackets move the serving time by five minutes, and it starts as long before as the plan takes', () => {
  const f = TestBed.createComponent(Ribbon);
  const p = plan(turkeyDish(), kitchenSchema.parse({}));
  f.componentRef.setInput('plan', p);
  f.componentRef.setInput('serveAt', '19:00');
  f.componentRef.setInput('now', Date.UTC(2026, 10, 20, 17));
  const moved: number[] = [];
  f.componentInstance.moved.subscribe((m) => moved.push(m));
  f.detectChanges();
  const root = f.nativeElement as HTMLElement;
  for (const key of ['ArrowLeft', 'ArrowRight', 'a'])
    root.querySelector('[role=slider]')!.dispatchEvent(new KeyboardEvent('keydown', { key }));
  root.querySelectorAll<HTMLButtonElement>('.steps button').forEach((b) => b.click());
  expect(moved).toEqual([-5, 5, -5, 5]);
  const minutes = (f.componentInstance.serveMs() - f.componentInstance.startMs()) / 60_000;
  expect(minutes).toBeCloseTo(
    p.steps.reduce((s, x) => s + x.minutes, 0),
    6,
  );
  // "Start now": on the table as long after this minute as the plan takes.
  expect((f.componentInstance.ifNowMs() - Date.UTC(2026, 10, 20, 17)) / 60_000).toBeCloseTo(minutes, 6);
});

describe('a field bound to the store', () => {
  @Component({
    imports: [Bound, Checkbox],
    template: '<p-checkbox [binary]="true" [ekBound]="on()" (ekBoundChange)="on.set($event)" inputId="field" />',
  })
  class Field {
    readonly on = signal(false);
  }

  test('shows what stands there, and gives back what was chosen', async () => {
    const made = TestBed.createComponent(Field);
    const box = (): HTMLInputElement => made.nativeElement.querySelector('input');
    await made.whenStable();
    expect(box().checked).toBe(false);
    made.componentInstance.on.set(true);
    await made.whenStable();
    expect(box().checked).toBe(true);
    box().click();
    await made.whenStable();
    expect(made.componentInstance.on()).toBe(false);
  });
});
