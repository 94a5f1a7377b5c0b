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

/** A growing pair of columns; doubling keeps appending cheap. */
export class Recorder {
  private temp = new Float64Array(4096);
  private gauge = new Float64Array(4096);
  length = 0;

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
    const copy = new Recorder();
    copy.temp = this.temp.slice(0, Math.max(4096, n + 2048));
    copy.gauge = this.gauge.slice(0, Math.max(4096, n + 2048));
    if (copy.temp.length < n + 1) throw new RangeError('branch past the end');
    copy.length = n;
    return copy;
  }

  columns(): { tempC: Float64Array; gaugeKpa: Float64Array } {
    return { tempC: this.temp.slice(0, this.length), gaugeKpa: this.gauge.slice(0, this.length) };
  }
}
