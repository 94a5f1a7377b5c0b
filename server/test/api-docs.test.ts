import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';

/* docs/api.md against the server: every route is told, and every example is answered as it says. */
const source = join(__dirname, '..', 'src');
const docs = readFileSync(join(__dirname, '..', '..', 'docs', 'api.md'), 'utf8');

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-docs-'));
  store = await openStore(folder);
  await seedDemo(store);
  api = request(createApp(store, pino({ level: 'silent' })));
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Routes as the sources register them: where a router is mounted, and what it answers to. */
function routesOf(): string[] {
  const app = readFileSync(join(source, 'app.ts'), 'utf8');
  const own = [...app.matchAll(/app\.(get|post)\('(\/api[^']*)'/g)].map((m) => `${m[1]!.toUpperCase()} ${m[2]}`);
  const mounted = [...app.matchAll(/app\.use\('(\/api\/[a-z-]+)', (\w+)\(/g)];
  const files = readdirSync(join(source, 'routes')).map((f) => readFileSync(join(source, 'routes', f), 'utf8'));
  const inside = mounted.flatMap(([, path, router]) => {
    const file = files.find((text) => text.includes(`export function ${router}(`))!;
    return [...file.matchAll(/r\.(get|post|put|patch|delete)\(\s*'([^']+)'/g)].map(
      (m) => `${m[1]!.toUpperCase()} ${path}${m[2] === '/' ? '' : m[2]}`,
    );
  });
  return [...own, ...inside].sort();
}

test('every route of the server has its paragraph, and no paragraph is of a route that is not there', () => {
  const told = [...docs.matchAll(/^### ([A-Z]+ \/api\S*)$/gm)].map((m) => m[1]!);
  expect(routesOf().length).toBeGreaterThan(20);
  expect([...told].sort()).toEqual(routesOf());
});

const examples = [...docs.matchAll(/```http\n([A-Z]+) (\S+) (\d+)\n([\s\S]*?)```/g)].map(
  ([, method, path, status, body]) => ({ method: method!, path: path!, status: Number(status), body: body!.trim() }),
);
test.each(examples.map((e) => [`${e.method} ${e.path} is answered with ${e.status}`, e] as const))(
  '%s',
  async (_, { method, path, status, body }) => {
    const call = api[method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete'](path);
    const answer = body ? await call.set('Content-Type', 'application/json').send(body) : await call;
    expect(answer.status).toBe(status);
    if (status >= 400) expect(answer.type).toBe('application/problem+json');
  },
);
