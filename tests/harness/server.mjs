import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const APP = fileURLToPath(new URL('../../artifacts/app', import.meta.url));
// The demo may be made while every core is at work on something else.
const LONGEST_START_MS = 300_000;

/**
 * The published server on a data folder of its own, with the demo made before where DEMO_TEMPLATE names it; it is killed, its
 * power is cut, and it is started again.
 */
export class Server {
  data = mkdtempSync(join(tmpdir(), 'upper-still-harness-'));
  said = '';
  #process;

  constructor(port, layer) {
    this.address = `http://127.0.0.1:${port}`;
    this.layer = layer;
    this.cutLog = `${this.data}.cut`;
    this.fullMark = `${this.data}.full`;
    if (process.env.DEMO_TEMPLATE) {
      cpSync(process.env.DEMO_TEMPLATE, this.data, { recursive: true });
    }
  }

  /** Starts it; with a number its power goes at that write. Says whether it serves: its power may go before it does. */
  async start(cutAfter = 0) {
    rmSync(this.cutLog, { force: true });
    this.said = '';
    // It lives for seconds: what the compiler would do for the hours to come is left out.
    const env = {
      ...process.env,
      DOTNET_TieredPGO: '0',
      LD_PRELOAD: this.layer ?? '',
      CUT_FILES: join(this.data, 'upper-still.db'),
      CUT_LOG: this.cutLog,
      CUT_FULL: this.fullMark,
      CUT_AFTER: String(cutAfter),
    };
    this.#process = spawn(
      'dotnet',
      ['UpperStill.Server.dll', '--urls', this.address, '--data', this.data, '--demo', 'true', '--demo-afresh', 'true'],
      { cwd: APP, env, stdio: ['ignore', 'ignore', 'pipe'] },
    );
    this.#process.stderr.on('data', (part) => {
      this.said += part;
    });
    const running = this.#process;
    this.gone = new Promise((done) => running.once('close', done));
    for (const began = Date.now(); ; ) {
      try {
        if ((await fetch(`${this.address}/health/ready`)).ok) {
          return true;
        }
      } catch {
        // Not yet.
      }
      if (running.signalCode === 'SIGKILL' && cutAfter > 0) {
        return false;
      }
      if (running.exitCode !== null || Date.now() - began > LONGEST_START_MS) {
        throw new Error(`The server did not start again: ${this.said}`);
      }
      await new Promise((again) => setTimeout(again, 50));
    }
  }

  get pid() {
    return this.#process.pid;
  }

  async kill() {
    this.#process?.kill('SIGKILL');
    await this.gone;
  }

  /** Fills the disk under the database, or makes room again. */
  full(is) {
    if (is) {
      writeFileSync(this.fullMark, '');
    } else {
      rmSync(this.fullMark, { force: true });
    }
  }

  /** Runs a command of the server on its data; gives what it said and its exit code. */
  command(...args) {
    return new Promise((done) => {
      const child = spawn('dotnet', ['UpperStill.Server.dll', ...args, '--data', this.data], { cwd: APP });
      let said = '';
      child.stdout.on('data', (part) => {
        said += part;
      });
      child.once('exit', (code) => done({ code, said: said.trim() }));
    });
  }

  /** Keeps a copy of the data as it is. */
  keep(to) {
    cpSync(this.data, to, { recursive: true });
  }

  end() {
    for (const path of [this.data, this.cutLog, this.fullMark]) {
      if (existsSync(path)) {
        rmSync(path, { recursive: true, force: true });
      }
    }
  }
}
