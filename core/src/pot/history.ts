/**
 * A column in means of n samples, for maps that need many: the clock is smooth over some seconds. Single samples would
 * count the last of them, taken while the pot is still hot, for the whole of its step.
 */
export function meansOf(column: Float64Array, n: number): Float64Array {
  const out = new Float64Array(Math.max(1, Math.round(column.length / n)));
  for (let i = 0; i < out.length; i++) {
    const to = Math.min(column.length, (i + 1) * n);
    let sum = 0;
    for (let k = i * n; k < to; k++) sum += column[k]!;
    out[i] = sum / (to - i * n);
  }
  return out;
}

/** Room for a quick release; a longer branch grows by doubling. */
const branchRoom = 512;

/**
 * Two growing columns. A branch keeps only its own samples and knows where it left the one before it: a search that
 * tries many releases pays for the shared heat-up once, and copies it only into the histories it hands out.
 */
export class Recorder {
  private temp: Float64Array;
  private gauge: Float64Array;
  private own = 0;

  constructor(
    room = 2048,
    private readonly before: Recorder | null = null,
    /** samples taken over from `before`, which only ever grows at its end */
    private readonly shared = 0,
  ) {
    this.temp = new Float64Array(room);
    this.gauge = new Float64Array(room);
  }

  /** Samples so far, those taken over included. */
  get length(): number {
    return this.shared + this.own;
  }

  push(tempC: number, gaugeKpa: number): void {
    const at = this.own;
    if (at === this.temp.length) {
      this.temp = grown(this.temp);
      this.gauge = grown(this.gauge);
    }
    this.temp[at] = tempC;
    this.gauge[at] = gaugeKpa;
    this.own = at + 1;
  }

  /** A recorder that starts with the first `n` samples of this one. */
  branch(n: number): Recorder {
    if (n > this.length) throw new RangeError('branch past the end');
    return new Recorder(branchRoom, this, n);
  }

  columns(): { tempC: Float64Array; gaugeKpa: Float64Array } {
    const tempC = new Float64Array(this.length);
    const gaugeKpa = new Float64Array(this.length);
    this.copyTo(tempC, gaugeKpa, this.length);
    return { tempC, gaugeKpa };
  }

  private copyTo(tempC: Float64Array, gaugeKpa: Float64Array, n: number): void {
    this.before?.copyTo(tempC, gaugeKpa, Math.min(n, this.shared));
    if (n <= this.shared) return;
    tempC.set(this.temp.subarray(0, n - this.shared), this.shared);
    gaugeKpa.set(this.gauge.subarray(0, n - this.shared), this.shared);
  }
}

function grown(column: Float64Array): Float64Array {
  const wider = new Float64Array(column.length * 2);
  wider.set(column);
  return wider;
}
