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

/** The same history with every n-th sample only, for maps that need many: the clock is smooth over some seconds. */
export function everyNth(h: History, n: number): History {
  const count = Math.floor((h.tempC.length - 1) / n) + 1;
  const pick = (from: Float64Array): Float64Array => {
    const out = new Float64Array(count);
    for (let i = 0; i < count; i++) out[i] = from[i * n]!;
    return out;
  };
  return {
    dtS: h.dtS * n,
    tempC: pick(h.tempC),
    gaugeKpa: pick(h.gaugeKpa),
    releaseAt: Math.round(h.releaseAt / n),
    openAt: count - 1,
  };
}

const branchRoom = 512;
/** A growing pair of columns; doubling keeps appending cheap. */
export class Recorder {
  private temp: Float64Array;
  private gauge: Float64Array;
  length = 0;

  constructor(room = 4096) {
    this.temp = new Float64Array(room);
    this.gauge = new Float64Array(room);
  }

  push(tempC: number, gaugeKpa: number): void {
    if (this.length === this.temp.length) {
      const temp = new Float64Array(this.length * 2);
      const gauge = new Float64Array(this.length * 2);
      temp.set(this.temp);
      gauge.set(this.gauge);
      this.temp = temp;
      this.gauge = gauge;
    }
    this.temp[this.length] = tempC;
    this.gauge[this.length] = gaugeKpa;
    this.length += 1;
  }

  /** A recorder that starts with the first `n` samples of this one. */
  branch(n: number): Recorder {
    if (n > this.length) throw new RangeError('branch past the end');
    // Room for a quick release; a longer branch grows by doubling.
    const copy = new Recorder(n + branchRoom);
    copy.temp.set(this.temp.subarray(0, n));
    copy.gauge.set(this.gauge.subarray(0, n));
    copy.length = n;
    return copy;
  }

  columns(): { tempC: Float64Array; gaugeKpa: Float64Array } {
    return { tempC: this.temp.slice(0, this.length), gaugeKpa: this.gauge.slice(0, this.length) };
  }
}
