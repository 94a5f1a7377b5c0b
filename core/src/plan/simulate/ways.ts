import type { PieceResult } from '../../meat/piece';
import { Way } from '../../meat/way';
import type { PotRun } from '../../pot/program';

/** What the programs of one heated pot share of its pieces, so that each is followed no further than it has to be. */
export class Ways {
  private readonly ends = new WeakMap<PotRun, Map<string, PieceResult>>();

  constructor(private readonly along = new Map<string, Way>()) {}

  /** The same snapshots, for a run that ends otherwise though its last lid is the same. */
  again(): Ways {
    return new Ways(this.along);
  }

  /** Snapshots of one piece along the heat-up and the hold. */
  of(piece: string): Way {
    const way = this.along.get(piece) ?? new Way();
    this.along.set(piece, way);
    return way;
  }

  /** How a piece ended along a run: followed when it is first asked for. */
  endOf(run: PotRun, piece: string, follow: (way: Way) => PieceResult): PieceResult {
    const ends = this.ends.get(run) ?? new Map<string, PieceResult>();
    this.ends.set(run, ends);
    const end = ends.get(piece) ?? follow(this.of(piece));
    ends.set(piece, end);
    return end;
  }
}
