import type { History } from '../history';
import type { PotState, SteamLost } from './state';

export interface Release {
  kind: 'quick' | 'natural' | 'timed';
  /** minutes of natural release before the valve is opened (timed only) */
  naturalMin?: number;
}

export interface Program {
  pressure: 'high' | 'low';
  holdMin: number;
  release: Release;
}

/** Minutes of natural release, to the valve or to the open lid. */
export const naturalMinOf = (run: Pick<PotRun, 'valveS' | 'openS' | 'releaseS'>): number =>
  ((run.valveS ?? run.openS) - run.releaseS) / 60;

export interface PotRun {
  history: History;
  pinUpS: number | null;
  countdownS: number | null;
  releaseS: number;
  /** when the valve was opened by hand, or null */
  valveS: number | null;
  pinDownS: number | null;
  openS: number;
  openC: number;
  lost: SteamLost;
  heaterJ: number;
  slowC: Float64Array;
  /** openings of the pop valve of a whistle cooker */
  whistles: number;
  /** the pot never reached pressure within the limit */
  neverSealed: boolean;
  dry: boolean;
  end: PotState;
}
