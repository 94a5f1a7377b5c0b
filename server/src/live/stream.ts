import type { Request, Response } from 'express';

/** A comment line so often keeps a silent stream from being taken for a dead one, ms. */
const pulseMs = 15_000;
/** What waits for a reader that does not read, bytes: beyond it the reader is cut off, and begins anew when it is back. */
const mostWaiting = 1_000_000;

/** Opens a stream of server-sent events; `closed` runs once, when the other side is gone. */
export function openStream(req: Request, res: Response, closed: () => void): (name: string, data: unknown) => void {
  res.status(200).set({
    'Content-Type': 'text/event-stream',
    // A packer would hold the lines back.
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
  });
  res.flushHeaders();
  res.write(': hello\n\n');
  const pulse = setInterval(() => res.write(': still here\n\n'), pulseMs);
  pulse.unref();
  req.on('close', () => {
    clearInterval(pulse);
    closed();
  });
  return (name, data) => {
    if (res.destroyed) return;
    if (res.writableLength > mostWaiting) res.destroy();
    else res.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
  };
}
