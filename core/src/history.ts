/**
 * The temperature history of a cook: what the grain and the meat read. Uniform steps of `dtS` seconds from the moment
 * the lid locks; they know nothing of pots.
 */
export interface History {
  dtS: number;
  tempC: Float64Array;
  gaugeKpa: Float64Array;
  /** index where the pressure begins to fall (end of the hold) */
  releaseAt: number;
  /** index where the lid opens */
  openAt: number;
}
