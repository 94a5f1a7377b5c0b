import fc from 'fast-check';
import type { CookEvent } from '../src/cook/events';
import { inOrder } from '../src/cook/order';
import { standingEvents } from '../src/cook/runs';

/* One history on every screen, whatever the network does to the batches. */
const ids = (xs: readonly CookEvent[]): string => xs.map((e) => e.id).join('');
const tap = (id: string, seq?: number): CookEvent => ({ id, kind: 'whistle', atMs: 0, ...(seq ? { seq } : {}) });

test('what the server has placed comes in its order, what it does not know yet behind it as it was tapped', () => {
  expect(ids(inOrder([tap('d'), tap('b', 2)], [tap('a', 1), tap('c', 3)]))).toBe('abcd');
  expect(ids(inOrder([tap('x'), tap('y')], []))).toBe('xy');
  expect(inOrder([tap('x')], [tap('x', 4)])).toEqual([tap('x', 4)]);
});

/** The server: a place for each id once, in the order of arrival. */
class Server {
  readonly kept: CookEvent[] = [];
  keep(batch: readonly CookEvent[]): CookEvent[] {
    return batch.map((e) => {
      const there = this.kept.find((k) => k.id === e.id);
      if (there) return there;
      const placed = { ...e, seq: this.kept.length + 1 };
      this.kept.push(placed);
      return placed;
    });
  }
}
interface Screen {
  own: CookEvent[];
  unsent: CookEvent[];
}
type Move =
  | { kind: 'tap'; screen: number }
  | { kind: 'undo'; screen: number }
  | { kind: 'send'; screen: number; answered: boolean }
  | { kind: 'hear'; screen: number; from: number }
  | { kind: 'device' };

const move = fc.oneof(
  fc.record({ kind: fc.constant('tap' as const), screen: fc.nat(1) }),
  fc.record({ kind: fc.constant('undo' as const), screen: fc.nat(1) }),
  fc.record({ kind: fc.constant('send' as const), screen: fc.nat(1), answered: fc.boolean() }),
  fc.record({ kind: fc.constant('hear' as const), screen: fc.nat(1), from: fc.nat(9) }),
  fc.record({ kind: fc.constant('device' as const) }),
);

test('two screens and a device, batches lost and sent again in any order: one history on all of them', () => {
  fc.assert(
    fc.property(fc.array(move, { maxLength: 60 }), (moves: Move[]) => {
      const server = new Server();
      const screens: Screen[] = [0, 1].map(() => ({ own: [], unsent: [] }));
      let n = 0;
      const confirm = (s: Screen, kept: readonly CookEvent[]): void => {
        s.own = inOrder(s.own, kept);
        s.unsent = s.unsent.filter((e) => !kept.some((k) => k.id === e.id));
      };
      const tapped = (s: Screen, e: CookEvent): void => {
        s.own = inOrder(s.own, [e]);
        s.unsent.push(e);
      };
      for (const m of moves) {
        if (m.kind === 'device') {
          server.keep([{ id: 'device-pin', kind: 'pin-up', atMs: 1, device: 'cooker' }]);
          continue;
        }
        const s = screens[m.screen]!;
        if (m.kind === 'tap') tapped(s, { id: `t${++n}`, kind: 'whistle', atMs: n });
        else if (m.kind === 'undo') {
          const target = standingEvents(s.own).at(-1);
          if (target) tapped(s, { id: `u${++n}`, kind: 'undone', targetId: target.id, atMs: n });
        } else if (m.kind === 'send') {
          const kept = server.keep(s.unsent);
          // A lost answer leaves everything to be sent again.
          if (m.answered) confirm(s, kept);
        } else confirm(s, server.kept.slice(m.from));
      }
      // The network comes back: everything is sent, everything is heard.
      for (const s of screens) confirm(s, server.keep(s.unsent));
      for (const s of screens) confirm(s, server.kept);
      for (const s of screens) {
        expect(s.own).toEqual(server.kept);
        expect(standingEvents(s.own)).toEqual(standingEvents(server.kept));
      }
    }),
    { numRuns: 300 },
  );
});

test('an undo takes back what it names, wherever in the list the two are', () => {
  const pin: CookEvent = { id: 'p', kind: 'pin-up', atMs: 1 };
  const down: CookEvent = { id: 'd', kind: 'pin-down', atMs: 2 };
  const undone: CookEvent = { id: 'u', kind: 'undone', targetId: 'p', atMs: 3 };
  for (const list of [
    [pin, down, undone],
    [undone, pin, down],
    [pin, undone, undone, down],
  ])
    expect(standingEvents(list)).toEqual([down]);
});
