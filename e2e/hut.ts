import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../scripts/server-process.mjs';

/** Where a folder with the demo lies that a server has made once: sixty evenings are planned for it, which takes seconds. */
export const seededFolder = 'EINKORN_E2E_SEEDED';

/** The built application with a fresh database of its own; it can be stopped and started again on the same port. */
export class Hut {
  private child: ChildProcess | null = null;
  private constructor(
    readonly port: number,
    /** its data */
    readonly folder: string,
    /** where it is open to the house, if it is */
    private readonly housePort: number | null,
    /** where the built application lies */
    private readonly tree: string,
  ) {}

  /**
   * @param asNew its cook has not begun yet: the Shelf asks what kitchen it is
   * @param lan open to the house, on a port of its own
   * @param tree a copy of the built application, for a test that changes it
   */
  static async open({ asNew = false, lan = false, tree = join(import.meta.dirname, '..') } = {}): Promise<Hut> {
    const folder = mkdtempSync(join(tmpdir(), 'einkorn-e2e-'));
    const seeded = process.env[seededFolder];
    if (seeded) cpSync(seeded, folder, { recursive: true });
    const hut = new Hut(await freePort(), folder, lan ? await freePort() : null, tree);
    await hut.start();
    if (!asNew)
      await fetch(`${hut.url}/api/kitchen/begin`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ demo: true }),
      });
    return hut;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** of the server's process, while it runs */
  get pid(): number | undefined {
    return this.child?.pid;
  }

  async start(): Promise<void> {
    const child = startServer(this.tree, {
      env: {
        PORT: String(this.port),
        EINKORN_DATA: this.folder,
        ...(this.housePort === null ? {} : { EINKORN_LAN: '1', EINKORN_HOUSE_PORT: String(this.housePort) }),
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    await new Promise<void>((ready, fail) => {
      child.stdout!.on('data', (d: Buffer) => d.toString().includes('ready') && ready());
      child.on('exit', (code) => fail(new Error(`the server ended with ${code}`)));
    });
  }

  async stop(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    await new Promise<void>((gone) => {
      child.on('exit', () => gone());
      child.kill('SIGINT');
    });
  }

  /** As a power cut does it: nothing is written to its end. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    await new Promise<void>((gone) => {
      child.on('exit', () => gone());
      child.kill('SIGKILL');
    });
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

function freePort(): Promise<number> {
  return new Promise((found, fail) => {
    const probe = createServer();
    probe.on('error', fail);
    probe.listen(0, () => {
      const address = probe.address();
      probe.close(() => (typeof address === 'object' && address ? found(address.port) : fail(new Error('no port'))));
    });
  });
}
