import { inOrder, type Cook, type CookEvent, type Outcome, type Outlook } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';
import { dialsAfter, dialsSeen, noDials, type Dials, type PracticeClock, type StreamReading } from './live';

export const StoveActions = createActionGroup({
  source: 'Stove',
  events: {
    Open: props<{ id: string }>(),
    'Find Running': emptyProps(),
    'Search Failed': props<{ failure: Failure }>(),
    'Running Found': props<{ cooks: Cook[] }>(),
    /** `fromServer`: what the cook holds is confirmed; from this browser the unsent taps are among its events */
    Opened: props<{ cook: Cook; unsent: CookEvent[]; fromServer: boolean }>(),
    /** taps that this browser's disk gave late */
    'Unsent Found': props<{ cookId: string; unsent: CookEvent[] }>(),
    Failed: props<{ failure: Failure }>(),
    /** a tap or a tick; it counts once it is on this browser's disk, and is sent when the server answers */
    Tap: props<{ event: CookEvent }>(),
    'Tap Kept': props<{ event: CookEvent; isOnDisk: boolean }>(),
    Sent: props<{ ids: string[]; events: CookEvent[] }>(),
    'Send Failed': props<{ failure: Failure }>(),
    /** taps that the server does not take: they hold nothing else back */
    Refused: props<{ ids: string[]; failure: Failure }>(),
    'Refusal Read': emptyProps(),
    /** a cook that was over goes on */
    'Take Up': emptyProps(),
    'Taken Up': emptyProps(),
    Finish: props<{ finishedMs: number; outcome: Outcome }>(),
    Finished: props<{ cook: Cook }>(),
    /** the rest of the cook, from what has really happened */
    'Outlook Found': props<{ outlook: Outlook | null }>(),
    Sound: props<{ on: boolean }>(),
    Voice: props<{ on: boolean }>(),
    /** nobody looks at this cook on this page any more */
    Left: emptyProps(),
    /** from another screen, from a device, or our own come back */
    'Events Heard': props<{ events: CookEvent[]; all?: boolean }>(),
    'Clock Heard': props<{ clock: PracticeClock }>(),
    'Reading Heard': props<{ reading: StreamReading }>(),
    'Finished Elsewhere': props<{ finishedMs: number }>(),
    'Measure Asked': props<{ what: 'temperature' | 'weight' }>(),
    'Speed Asked': props<{ speed: number }>(),
  },
});

export interface StoveState {
  cook: Cook | null;
  /** events that the server has not confirmed */
  unsent: CookEvent[];
  running: Cook[];
  searched: boolean;
  failure: Failure | null;
  offline: boolean;
  /** taps that are not sent are not on this browser's disk either */
  isFleeting: boolean;
  /** why the newest taps were not taken, and how many they were */
  refused: { taps: number; failure: Failure } | null;
  sound: boolean;
  voice: boolean;
  dials: Dials;
  clock: PracticeClock | null;
  outlook: Outlook | null;
}

const initial: StoveState = {
  cook: null,
  unsent: [],
  running: [],
  searched: false,
  failure: null,
  offline: false,
  isFleeting: false,
  refused: null,
  sound: true,
  voice: false,
  dials: noDials,
  clock: null,
  outlook: null,
};

export const stoveReducer = createReducer<StoveState>(
  initial,
  on(StoveActions.open, (s, { id }) =>
    s.cook?.id === id ? s : { ...initial, sound: s.sound, voice: s.voice, running: s.running },
  ),
  on(StoveActions.runningFound, (s, { cooks }) => ({ ...s, running: cooks, searched: true })),
  // An open cook goes on without knowing of the others.
  on(StoveActions.searchFailed, (s, { failure }) => (s.cook ? s : { ...s, failure, searched: true })),
  on(StoveActions.opened, (s, { cook, unsent, fromServer }) => {
    const known = new Set(cook.events.map((e) => e.id));
    // Opened once more, it may have been asked for before the last tap here.
    const found = new Set(unsent.map((e) => e.id));
    const mine = s.cook?.id === cook.id ? s.unsent.filter((e) => !found.has(e.id)) : [];
    const all = [...unsent, ...mine];
    const missing = all.filter((e) => !known.has(e.id));
    return {
      ...s,
      cook: { ...cook, events: inOrder(cook.events, missing) },
      unsent: fromServer ? missing : all,
      failure: null,
    };
  }),
  on(StoveActions.unsentFound, (s, { cookId, unsent }) => {
    if (s.cook?.id !== cookId) return s;
    const known = new Set(s.cook.events.map((e) => e.id));
    const missing = unsent.filter((e) => !known.has(e.id));
    return {
      ...s,
      cook: { ...s.cook, events: inOrder(s.cook.events, missing) },
      unsent: [...s.unsent, ...missing],
    };
  }),
  on(StoveActions.failed, (s, { failure }) => ({ ...s, failure, searched: true })),
  on(StoveActions.tapKept, (s, { event, isOnDisk }) =>
    s.cook
      ? {
          ...s,
          isFleeting: s.isFleeting || !isOnDisk,
          cook: { ...s.cook, events: [...s.cook.events, event] },
          unsent: [...s.unsent, event],
          dials: dialsSeen(s.dials, [event]),
        }
      : s,
  ),
  on(StoveActions.sent, (s, { events, ids }) => ({
    ...s,
    cook: s.cook && { ...s.cook, events: inOrder(s.cook.events, events) },
    unsent: s.unsent.filter((e) => !ids.includes(e.id)),
    offline: false,
    isFleeting: false,
  })),
  on(StoveActions.sendFailed, (s) => ({ ...s, offline: true })),
  on(StoveActions.refused, (s, { ids, failure }) => {
    const left = <T extends { id: string }>(all: readonly T[]): T[] => all.filter((e) => !ids.includes(e.id));
    return {
      ...s,
      cook: s.cook && { ...s.cook, events: left(s.cook.events) },
      unsent: left(s.unsent),
      refused: { taps: (s.refused?.taps ?? 0) + ids.length, failure },
    };
  }),
  on(StoveActions.refusalRead, (s) => ({ ...s, refused: null })),
  on(StoveActions.takenUp, (s) => ({ ...s, cook: s.cook && { ...s.cook, finishedMs: null }, refused: null })),
  on(StoveActions.finished, (s, { cook }) => ({ ...s, cook, running: s.running.filter((c) => c.id !== cook.id) })),
  on(StoveActions.outlookFound, (s, { outlook }) => ({ ...s, outlook })),
  on(StoveActions.sound, (s, { on: sound }) => ({ ...s, sound })),
  on(StoveActions.voice, (s, { on: voice }) => ({ ...s, voice })),
  on(StoveActions.eventsHeard, (s, { events, all }) => {
    if (!s.cook) return s;
    const heard = new Set(events.map((e) => e.id));
    return {
      ...s,
      cook: { ...s.cook, events: inOrder(s.cook.events, events) },
      unsent: s.unsent.filter((e) => !heard.has(e.id)),
      dials: all === true ? s.dials : dialsSeen(s.dials, events),
    };
  }),
  on(StoveActions.clockHeard, (s, { clock }) => ({ ...s, clock })),
  on(StoveActions.readingHeard, (s, { reading }) => ({ ...s, dials: dialsAfter(s.dials, reading) })),
  on(StoveActions.finishedElsewhere, (s, { finishedMs }) => (s.cook ? { ...s, cook: { ...s.cook, finishedMs } } : s)),
);

export const stoveFeature = createFeature({ name: 'stove', reducer: stoveReducer });
