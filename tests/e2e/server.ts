import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type APIRequestContext, test as base, request } from '@playwright/test';
import { signIn } from './session.mjs';

/** The built application. */
export const APP = fileURLToPath(new URL('../../artifacts/app', import.meta.url));

/** Below the range from which the system gives ports away by itself, so that nobody takes it before the server does. */
async function freePort(): Promise<number> {
  for (;;) {
    const port = 15_000 + Math.floor(Math.random() * 15_000);
    const free = await new Promise<boolean>((done) => {
      const probe = createServer()
        .once('error', () => done(false))
        .listen(port, '127.0.0.1', () => probe.close(() => done(true)));
    });
    if (free) {
      return port;
    }
  }
}

interface Built {
  /** Data to begin with; none makes the demo. */
  template?: string | undefined;
  app?: string;
  /** The folder of its name in which it stands. */
  base?: string;
  demo?: boolean;
}

/** The published server with the demo in a database of its own; can be killed and started again. */
export class RealServer {
  private process: ChildProcess | undefined;
  private asker: APIRequestContext | undefined;
  private readonly data = mkdtempSync(join(tmpdir(), 'upper-still-e2e-'));

  private app: string;
  private readonly base: string;
  private readonly demo: boolean;

  private constructor(
    readonly port: number,
    { template, app = APP, base = '', demo = true }: Built,
  ) {
    this.app = app;
    this.base = base;
    this.demo = demo;
    if (template) {
      cpSync(template, this.data, { recursive: true });
    }
  }

  /** Begins with a copy of the demo's data where there is one, else makes it. */
  static async start(built: Built = {}): Promise<RealServer> {
    const server = new RealServer(await freePort(), { template: process.env.DEMO_TEMPLATE, ...built });
    await server.start();
    return server;
  }

  /** Begins with nothing and nobody. */
  static startEmpty(): Promise<RealServer> {
    return RealServer.start({ template: undefined, demo: false });
  }

  /** The one-time link that stands in the data folder, readable by its owner. */
  get firstLink(): string {
    return readFileSync(join(this.data, 'first-coordinator.txt'), 'utf8').trim();
  }

  get folder(): string {
    return this.data;
  }

  get address(): string {
    return `http://localhost:${this.port}${this.base}`;
  }

  async start(): Promise<void> {
    this.process = spawn(
      'dotnet',
      [
        'UpperStill.Server.dll',
        '--urls',
        `http://localhost:${this.port}`,
        '--base-path',
        this.base,
        '--data',
        this.data,
        '--demo',
        String(this.demo),
        '--demo-afresh',
        'true',
        '--laboratory-works-s',
        '1',
      ],
      {
        cwd: this.app,
        // It lives for minutes: what the compiler would do for the hours to come is left out.
        env: { ...process.env, DOTNET_TieredPGO: '0' },
        stdio: 'ignore',
      },
    );
    for (const began = Date.now(); ; ) {
      try {
        if ((await fetch(`${this.address}/api/instance`)).ok) {
          return;
        }
      } catch {
        if (Date.now() - began > 180_000) {
          throw new Error('The server did not start; was ./build.sh run?');
        }
        await new Promise((again) => setTimeout(again, 100));
      }
    }
  }

  async runs(): Promise<void> {
    if (!this.process) {
      await this.start();
    }
  }

  /** Puts another build in its place, on the same data. */
  async becomes(app: string): Promise<void> {
    await this.kill();
    this.app = app;
    await this.start();
  }

  /** Ends it as a power cut would. */
  async kill(): Promise<void> {
    const running = this.process;
    this.process = undefined;
    if (running && running.exitCode === null) {
      const gone = new Promise((done) => running.once('exit', done));
      running.kill('SIGKILL');
      await gone;
    }
  }

  async end(): Promise<void> {
    await this.kill();
    await this.asker?.dispose();
    rmSync(this.data, { recursive: true, force: true });
  }

  /** Puts the demo back to its first state. */
  async afresh(): Promise<void> {
    const answer = await fetch(`${this.address}/api/demo/afresh`, { method: 'POST' });
    if (!answer.ok) {
      throw new Error(`The demo could not be put back: ${answer.status}.`);
    }
  }

  /** What a coordinator would be told; signed in once, and again where the demo was put back. */
  async get<T>(path: string): Promise<T> {
    this.asker ??= await request.newContext();
    let answer = await this.asker.get(this.address + path);
    if (answer.status() === 401) {
      await signIn(this.asker, this.address);
      answer = await this.asker.get(this.address + path);
    }
    return (await answer.json()) as T;
  }
}

/** The server of a worker, put back to the demo's first state before each test, and started again where a test has killed it. */
export const test = base.extend<{ server: RealServer }, { shared: RealServer }>({
  shared: [
    // biome-ignore lint/correctness/noEmptyPattern: the fixture depends on nothing
    async ({}, use) => {
      const server = await RealServer.start();
      await use(server);
      await server.end();
    },
    { scope: 'worker' },
  ],
  server: async ({ shared }, use) => {
    await shared.runs();
    await shared.afresh();
    await use(shared);
  },
});

export { expect } from '@playwright/test';
