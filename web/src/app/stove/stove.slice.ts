import type { Cook, Outcome, Outlook, StoredEvent } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';

export const StoveActions = createActionGroup({
  source: 'Stove',
  events: {
    Open: props<{ id: string }>(),
    'Find Running': emptyProps(),
    'Running Found': props<{ cooks: Cook[] }>(),
    /** `fromServer`: what the cook holds is confirmed; from this browser the unsent taps are among its events */
    Opened: props<{ cook: Cook; unsent: StoredEvent[]; fromServer: boolean }>(),
    Failed: props<{ failure: Failure }>(),
    /** a tap or a tick; kept here at once, sent when the server answers */
    Tap: props<{ event: StoredEvent }>(),
    Sent: props<{ ids: string[] }>(),
    'Send Failed': props<{ failure: Failure }>(),
    Finish: props<{ finishedMs: number; outcome: Outcome }>(),
    Finished: props<{ cook: Cook }>(),
    /** the rest of the cook, from what has really happened */
    'Outlook Found': props<{ outlook: Outlook | null }>(),
    Sound: props<{ on: boolean }>(),
  },
});

export interface StoveState {
  cook: Cook | null;
  /** events that the server has not confirmed */
  unsent: StoredEvent[];
  running: Cook[];
  searched: boolean;
  failure: Failure | null;
  offline: boolean;
  sound: boolean;
  outlook: Outlook | null;
}

const initial: StoveState = {
  cook: null,
  unsent: [],
  running: [],
  searched: false,
  failure: null,
  offline: false,
  sound: true,
  outlook: null,
};

export const stoveReducer = createReducer<StoveState>(
  initial,
  on(StoveActions.open, (s, { id }) => (s.cook?.id === id ? s : { ...initial, sound: s.sound })),
  on(StoveActions.runningFound, (s, { cooks }) => ({ ...s, running: cooks, searched: true, failure: null })),
  on(StoveActions.opened, (s, { cook, unsent, fromServer }) => {
    const known = new Set(cook.events.map((e) => e.id));
    const missing = unsent.filter((e) => !known.has(e.id));
    return {
      ...s,
      cook: { ...cook, events: [...cook.events, ...missing] },
      unsent: fromServer ? missing : unsent,
      failure: null,
    };
  }),
  on(StoveActions.failed, (s, { failure }) => ({ ...s, failure, searched: true })),
  on(StoveActions.tap, (s, { event }) =>
    s.cook ? { ...s, cook: { ...s.cook, events: [...s.cook.events, event] }, unsent: [...s.unsent, event] } : s,
  ),
  on(StoveActions.sent, (s, { ids }) => ({
    ...s,
    unsent: s.unsent.filter((e) => !ids.includes(e.id)),
    offline: false,
  })),
  on(StoveActions.sendFailed, (s) => ({ ...s, offline: true })),
  on(StoveActions.finished, (s, { cook }) => ({ ...s, cook, running: s.running.filter((c) => c.id !== cook.id) })),
  on(StoveActions.outlookFound, (s, { outlook }) => ({ ...s, outlook })),
  on(StoveActions.sound, (s, { on: sound }) => ({ ...s, sound })),
);

export const stoveFeature = createFeature({ name: 'stove', reducer: stoveReducer });
