import { once } from 'node:events';
import { connect, type AddressInfo } from 'node:net';
import express, { type Response } from 'express';
import { Bus } from '../src/live/bus';
import { openStream } from '../src/live/stream';

test('a reader that does not read is cut off before its news fill the memory', async () => {
  let send = (_name: string, _data: unknown): void => undefined;
  let answer: Response | null = null;
  let closed = 0;
  const app = express().get('/stream', (req, res) => {
    answer = res;
    send = openStream(req, res, () => (closed += 1));
  });
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const reader = connect((server.address() as AddressInfo).port, '127.0.0.1');
  reader.on('error', () => undefined);
  reader.pause();
  reader.write('GET /stream HTTP/1.1\r\nHost: localhost\r\n\r\n');
  await once(server, 'request');
  const news = 'x'.repeat(100_000);
  let most = 0;
  for (let i = 0; i < 400 && !answer!.destroyed; i++) {
    send('events', news);
    most = Math.max(most, answer!.writableLength);
    await new Promise((next) => setImmediate(next));
  }
  expect(answer!.destroyed).toBe(true);
  expect(most).toBeLessThan(1_300_000);
  for (let i = 0; i < 100 && closed === 0; i++) await new Promise((next) => setImmediate(next));
  expect(closed).toBe(1);
  // What is sent to somebody who has gone is no error.
  send('events', 'late');
  reader.destroy();
  server.closeAllConnections();
  server.close();
});

test('a listener that fails keeps the others from nothing', () => {
  const failed: unknown[] = [];
  const bus = new Bus((e) => failed.push(e));
  const heard: string[] = [];
  bus.watch('c', () => {
    throw new Error('gone');
  });
  bus.watch('c', (n) => heard.push(n.name));
  bus.publish('c', { name: 'finished', data: { finishedMs: 1 } });
  expect([heard, failed]).toEqual([['finished'], [new Error('gone')]]);
});
