import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { RouterLink } from '@angular/router';
import {
  actualOf,
  cookTimeline,
  endsSomething,
  isKind,
  runsByItself,
  schedule,
  type Detour,
  type EventKind,
  type Happening,
  type Outcome,
  type Ratings,
} from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { HouseClock } from '../state/clock';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { MiniPot } from '../ui/mini-pot';
import { narrow } from '../ui/narrow';
import { AfterPanel } from './after-panel';
import { announce, keepAwake } from './keep-awake';
import { announceChanges } from './announcements';
import { drawnRun, runFigure } from './run-figure';
import { cookNow } from './live';
import { OutlookNote } from './outlook-note';
import { outlookWords } from './outlook-words';
import { lidBackMin, otherPots, pinTaps, sinceLidMin, timesTo, wasLocked } from './panels';
import { PracticeBar } from './practice-bar';
import { RescueDialog, type PutRight } from './rescue-dialog';
import { ServingNote } from './serving-note';
import { StoveActions, stoveFeature } from './stove.slice';
import { saveCook } from '../ui/save-file';
import { stepAmounts, stepParams } from '../ui/step-text';
import { TapsRefused } from './taps-refused';
import { atGate, nextTap, ownTimers, tapKeys } from './taps';
import { ThermometerDialog } from './thermometer-dialog';
import { WriteDown } from './write-down';

/** Who tapped the burning so shortly before the device told it has the rescue open already. */
const justSeenMs = 120_000;

/** The Stove: one instruction at a time, a clock to read across the room, the taps that tell what really happens. */
@Component({
  selector: 'ek-stove-page',
  imports: [
    SaidPipe,
    AfterPanel,
    Button,
    NgTemplateOutlet,
    OutlookNote,
    RouterLink,
    TranslocoDirective,
    Chart,
    MiniPot,
    PracticeBar,
    RescueDialog,
    ServingNote,
    TapsRefused,
    ThermometerDialog,
    WriteDown,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)', '(click)': 'lower($event)' },
  templateUrl: './stove-page.html',
  styleUrls: ['./stove-page.scss', './stove-page.small.scss'],
})
export class StovePage {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  private readonly house = inject(HouseClock);
  private readonly wall = this.house.ticking();
  readonly cook = this.store.selectSignal(stoveFeature.selectCook);
  private readonly practiceClock = this.store.selectSignal(stoveFeature.selectClock);
  /** the time that this cook goes by; a practice has its own */
  readonly now = computed(() => cookNow(this.cook(), this.practiceClock(), this.wall()));
  readonly dials = this.store.selectSignal(stoveFeature.selectDials);
  readonly speed = computed(() => this.practiceClock()?.speed ?? 0);
  readonly practice = computed(() => this.cook()?.practice ?? null);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly devices = computed(() => this.practice() !== null || this.kitchen().devices);
  readonly failure = this.store.selectSignal(stoveFeature.selectFailure);
  readonly outlook = this.store.selectSignal(stoveFeature.selectOutlook);
  readonly unsent = this.store.selectSignal(stoveFeature.selectUnsent);
  readonly offline = this.store.selectSignal(stoveFeature.selectOffline);
  readonly isFleeting = this.store.selectSignal(stoveFeature.selectIsFleeting);
  readonly sound = this.store.selectSignal(stoveFeature.selectSound);
  readonly voice = this.store.selectSignal(stoveFeature.selectVoice);
  readonly theme = this.kitchen;
  /** on a phone what is to be taken stands beside the instruction, not under the taps */
  readonly narrow = narrow();
  readonly dialog = signal<'burn' | 'off-plan' | 'meat-under' | 'write' | 'thermometer' | null>(null);
  readonly note = signal('');
  readonly ratings = signal<Ratings>({});
  /** the last reading of the thermometer stands in the field; the cook may write another */
  readonly coreC = linkedSignal<number | null>(() => this.taps().findLast(isKind('probe-read'))?.coreC ?? null);

  readonly timed = computed(() => {
    const c = this.cook();
    return c ? cookTimeline(c, this.now()) : null;
  });
  readonly current = computed(() => {
    const r = this.timed();
    return r ? (r.steps[r.current] ?? null) : null;
  });
  readonly next = computed(
    () => this.timed()?.steps.slice((this.timed()?.current ?? 0) + 1, (this.timed()?.current ?? 0) + 4) ?? [],
  );
  /** The waits of the plan; the clock of the moment changes nothing in them. */
  private readonly plan = computed(() => this.cook()?.plan ?? null);
  private readonly waits = computed(() => {
    const p = this.plan();
    return p ? schedule(p, 0, 0).waits : [];
  });
  /** What fits into the wait that is on, each thing once in an evening. */
  readonly meanwhile = computed(() => {
    const id = this.current()?.step.id;
    return this.waits().find((w) => w.step.id === id)?.fill ?? [];
  });
  readonly over = computed(() => this.timed() !== null && this.current() === null);
  /** Counts down while there is time, then up with a plus: late is a fact, not an alarm. */
  readonly clock = computed(() => {
    const left = this.timed()?.leftMs ?? 0;
    return left >= 0 ? this.fmt.clock(left) : `+${this.fmt.clock(-left)}`;
  });
  readonly clockSize = computed(() => (this.clock().length > 5 ? 108 : this.clock().length > 4 ? 142 : 176));
  readonly serveMs = computed(() => this.timed()?.serveMs ?? 0);
  readonly whistles = computed(() => this.taps().filter((e) => e.kind === 'whistle').length);
  readonly number = computed(() => (this.timed()?.current ?? 0) + 1);
  /** What counts of the taps for the run that is on. */
  private readonly taps = computed(() => this.timed()?.ofRun ?? []);
  private readonly happened = (kind: EventKind): boolean => this.taps().some((e) => e.kind === kind);
  /** Water that only teaches the pot: nothing is cut for it, and nobody eats it. */
  private readonly isWater = computed(() => this.cook()?.dish.calibrates ?? false);
  readonly gate = computed(() => !this.isWater() && atGate(this.current(), this.timed(), this.taps()));
  readonly nextTap = computed(() => {
    const timed = this.timed();
    const measuring = { minimumC: this.minimumC(), nowMs: this.now() };
    return timed ? nextTap(this.current(), this.gate(), timed, measuring) : 'done';
  });
  readonly ownTimers = computed(() => ownTimers(this.taps(), this.now()));
  private readonly running = this.store.selectSignal(stoveFeature.selectRunning);
  readonly others = computed(() => (this.practice() ? [] : otherPots(this.running(), this.id(), this.wall())));
  /** What the thermometer must show: of what this step is about, else of everything under the lid. */
  readonly minimumC = computed(() => {
    const own = this.current()?.step.params['least'];
    return typeof own === 'number' ? own : Math.max(0, ...(this.cook()?.plan.meats.map((m) => m.safeMinimumC) ?? []));
  });
  /** The pin as the devices show it, or as the taps tell. */
  readonly pinIsUp = computed(() => this.dials().pinUp ?? (this.pinUpAt() !== null && this.pinDownAt() === null));
  readonly gateFoods = computed(() => {
    this.fmt.locale();
    return (this.cook()?.dish.ingredients ?? []).map((i) => this.fmt.ingredient(i)).join(', ');
  });
  readonly pinUpAt = computed(() => this.taps().find((e) => e.kind === 'pin-up')?.atMs ?? null);
  readonly pinDownAt = computed(() => this.taps().find((e) => e.kind === 'pin-down')?.atMs ?? null);
  /** What an undo takes back: the newest tap of this run that ended something. */
  private readonly undoable = computed(() => this.taps().findLast(endsSomething) ?? null);
  readonly canUndo = computed(() => this.undoable() !== null);
  readonly afterLid = computed(() => wasLocked(this.timed()));
  readonly pins = computed(() => pinTaps(this.timed(), this.pinUpAt(), this.pinDownAt()));
  readonly timers = computed(() => {
    const r = this.timed();
    if (!r) return [];
    const taken = this.ownTimers().length + this.others().length;
    return timesTo(r, this.cook()!.startedMs, this.now(), taken).filter((x) => x.key !== 'serve' || !this.isWater());
  });
  private readonly minute = computed(() => Math.floor(this.now() / 20_000));
  readonly drawing = computed((): (() => Figure) => {
    this.minute();
    const c = this.cook()!;
    const nowMs = untracked(this.now);
    // The timed steps are new with every tick of the clock; what is drawn of them changes with a tap or by the minute.
    const run = untracked(() => drawnRun(c, this.timed(), nowMs));
    const ahead = this.outlook()?.curve ?? null;
    const degrees = this.fmt.degrees();
    return () => runFigure(c, run, { nowMs, ahead }, { t: this.words, time: (ms) => this.fmt.time(ms), degrees });
  });
  private readonly words = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);

  constructor() {
    keepAwake();
    effect(() => this.store.dispatch(StoveActions.open({ id: this.id() })));
    // The other pots are looked at again whenever the drawing is.
    effect(() => {
      this.minute();
      untracked(() => this.store.dispatch(StoveActions.findRunning()));
    });
    announceChanges({ step: this.current, title: () => this.title(), timers: this.ownTimers }, (text) =>
      this.announce(text),
    );
    // A cooker that tells of burning by itself opens the rescue, once each time; in a practice by hand the cook has to see it.
    const met = new Set<string>();
    effect(() => {
      const burn = this.cook()?.events.findLast((e) => e.kind === 'burn' && e.device !== undefined);
      if (!burn || met.has(burn.id)) return;
      met.add(burn.id);
      const seen = this.cook()!.events.some(
        (e) => e.kind === 'burn' && e.device === undefined && e.atMs > burn.atMs - justSeenMs,
      );
      if (!seen && burn.atMs > untracked(this.now) - 600_000) untracked(() => this.dialog.set('burn'));
    });
    inject(DestroyRef).onDestroy(() => this.store.dispatch(StoveActions.left()));
  }

  params(): Record<string, unknown> {
    const s = this.current();
    const c = this.cook();
    return s && c ? { ...stepParams(s.step, c, this.fmt, this.words), at: this.fmt.time(s.endMs) } : {};
  }
  amounts(): string {
    const [s, c] = [this.current(), this.cook()];
    return s && c && !c.dish.calibrates ? stepAmounts(s.step, c.dish, this.fmt) : '';
  }
  title(): string {
    const s = this.current();
    if (!s) return '';
    if ((s.step.id === 'vent' || s.step.id === 'first-vent') && this.happened('valve-open'))
      return this.words('stove.venting');
    return this.words(`step.${s.step.text}.title`, this.params());
  }
  nextTitle(step: NonNullable<ReturnType<typeof this.current>>['step']): string {
    const c = this.cook();
    return c ? this.words(`step.${step.text}.next`, stepParams(step, c, this.fmt, this.words)) : '';
  }
  byItself = runsByItself;

  private send(what: Happening): void {
    const atMs = cookNow(this.cook(), this.practiceClock(), this.house.now());
    const id = `${Date.now()}-${Math.random().toString(36).slice(2, 10)}`;
    this.store.dispatch(StoveActions.tap({ event: { id, atMs, ...what } }));
  }
  done(): void {
    const s = this.current();
    if (!s) return;
    const next = this.nextTap();
    if (next === 'thermometer') this.dialog.set('thermometer');
    else if (next !== 'done') this.send({ kind: next });
    else if (s.step.expects) this.send({ kind: s.step.expects });
    else this.send({ kind: 'done', stepId: s.step.id });
  }
  tap(kind: 'pin-up' | 'pin-down' | 'whistle'): void {
    this.send({ kind });
  }
  undo(): void {
    const target = this.undoable();
    if (target) this.send({ kind: 'undone', targetId: target.id });
  }
  /** The whole lower half is the next step: for a wet hand that cannot aim. A wait is not ended by a stray touch. */
  lower(e: MouseEvent): void {
    const s = this.current();
    const at = e.target as Element;
    if (!s || runsByItself(s.step) || e.clientY < innerHeight / 2) return;
    if (at.closest('button, a, input, textarea, [role="dialog"], .p-dialog-mask, p-selectbutton')) return;
    this.done();
  }
  writeDown(what: Happening): void {
    this.send(what);
    this.dialog.set(null);
  }
  stopTimer(id: string): void {
    this.send({ kind: 'timer-stopped', timerId: id });
  }
  measure(what: 'temperature' | 'weight'): void {
    this.store.dispatch(StoveActions.measureAsked({ what }));
  }
  setSpeed(speed: number): void {
    this.store.dispatch(StoveActions.speedAsked({ speed }));
  }
  setVoice(on: boolean): void {
    this.store.dispatch(StoveActions.voice({ on }));
  }
  private announce(text: string): void {
    announce(text, this.fmt.locale(), { tone: this.sound(), voice: this.voice() });
  }
  /** The thermometer's step ends with a number, or with the word that it was skipped. */
  measured(value: number | null): void {
    const s = this.current();
    if (value === null) this.send({ kind: 'thermometer-skipped' });
    else this.send({ kind: 'probe-read', coreC: value });
    if (s) this.send({ kind: 'done', stepId: s.step.id });
    this.dialog.set(null);
  }
  tooCold(coreC: number): void {
    this.send({ kind: 'probe-read', coreC });
    this.dialog.set('meat-under');
  }
  /** What was wrong is written down; what is done about it goes into the clock of this cook. */
  putRight(x: PutRight): void {
    this.send({ kind: x.kind, ...(x.text ? { text: x.text.slice(0, 500) } : {}) });
    if (x.clock) this.rescued(x.clock, x.doing);
    this.dialog.set(null);
  }
  /** What is done about it, and its time, as one event. */
  private rescued({ minutes, holdMin, addMl, lid }: Detour, doing: string): void {
    const lockedAgain =
      holdMin === undefined ? {} : { lockedAgain: { lid: lid ?? ('heat-up' as const), holdMin, addMl: addMl ?? 0 } };
    this.send({ kind: 'rescued', minutes, text: doing.slice(0, 500), ...lockedAgain });
  }
  /** Minutes under the lid, for the questions of a rescue. */
  readonly sinceLidMin = computed(() => sinceLidMin(this.timed(), this.now()));
  /** The lid that a rescue speaks of. */
  readonly lid = computed(() => this.timed()?.lid ?? 'heat-up');
  readonly outlookWords = computed(() => {
    const [o, c, timed] = [this.outlook(), this.cook(), this.timed()];
    return o && c && timed ? outlookWords(o, c, timed, this.now()) : null;
  });
  /** A first stage that was ended early goes back under its lid for what it lacks. */
  takeFirst(holdMin: number): void {
    const note = this.words('outlook.first-again', { min: this.fmt.minutes(holdMin) });
    this.rescued({ minutes: lidBackMin, holdMin, lid: 'first-heat' }, note);
  }
  takeHold(holdMin: number): void {
    this.send({ kind: 'hold-changed', holdMin });
  }
  setSound(on: boolean): void {
    this.store.dispatch(StoveActions.sound({ on }));
  }
  finish(outcome: Outcome): void {
    const finishedMs = Math.round(this.timed()?.serveMs ?? this.now());
    this.store.dispatch(StoveActions.finish({ finishedMs, outcome }));
  }
  saveFile(): void {
    const c = this.cook();
    if (c) saveCook(c);
  }
  takeUp(): void {
    this.store.dispatch(StoveActions.takeUp());
  }
  stop(): void {
    this.store.dispatch(
      StoveActions.finish({ finishedMs: this.now(), outcome: { ratings: {}, note: this.words('stove.stopped') } }),
    );
  }
  actual() {
    return actualOf(this.cook()!);
  }

  key(e: KeyboardEvent): void {
    const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
    if (this.dialog() || typing || !this.current()) return;
    const plain = !e.ctrlKey && !e.metaKey && !e.altKey;
    const tap = tapKeys[e.key.toLowerCase()];
    // Space is always the next step, also while a button that was tapped before still has the focus; Enter presses that.
    if (e.key === ' ') {
      e.preventDefault();
      if (!e.repeat) this.done();
    } else if (plain && tap) this.send({ kind: tap });
    else if (plain && e.key.toLowerCase() === 'n') this.dialog.set('write');
    else if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && this.canUndo()) {
      e.preventDefault();
      this.undo();
    }
  }
}
