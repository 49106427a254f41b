import { isDeepStrictEqual } from 'node:util';
import { newId } from './newId.mjs';

const RETRY_MS = 40;

/**
 * A device that writes without end and delivers through a bad network: replies lost, requests doubled, entries out of order, its
 * clock wrong.
 */
export class Device {
  made = new Map();
  acknowledged = new Set();
  refused = new Map();
  counts = { requests: 0, repliesDropped: 0, doubled: 0, reordered: 0, clockJumps: 0, offeredAgain: 0, noRoom: 0 };
  #waiting = new Set();
  #cookie = '';
  #token = '';
  #mark;
  #visit;

  constructor(name, address, random) {
    Object.assign(this, { name, address, random });
  }

  async signIn(account) {
    const session = await this.#ask('GET', '/api/session');
    this.#token = session.token;
    this.#token = (await this.#ask('POST', '/api/session', { signInName: account, password: 'upper-still-demo' })).token;
  }

  async #ask(method, path, body) {
    const answer = await fetch(this.address + path, {
      method,
      headers: { 'content-type': 'application/json', 'x-upper-still': this.#token, cookie: this.#cookie },
      body: body && JSON.stringify(body),
      signal: AbortSignal.timeout(20_000),
    });
    const jar = new Map(
      this.#cookie
        .split('; ')
        .filter(Boolean)
        .map((one) => one.split(/=(.*)/s).slice(0, 2)),
    );
    for (const one of answer.headers.getSetCookie()) {
      const [name, value] = one.split(';')[0].split(/=(.*)/s);
      jar.set(name, value);
    }
    this.#cookie = [...jar].map(([name, value]) => `${name}=${value}`).join('; ');
    this.counts.noRoom += answer.status === 507;
    if (!answer.ok) {
      throw new Error(`${method} ${path} gave ${answer.status}: ${(await answer.text()).slice(0, 300)}`);
    }
    return answer.json();
  }

  /** Writes a few entries: a visit begins, depths are called, some are struck. */
  write() {
    const { random } = this;
    const make = (kind, body, more = {}) => {
      const entry = {
        id: newId(),
        visit: this.#visit,
        kind,
        version: 1,
        body,
        at: '2026-08-12T10:40:00+01:00',
        by: 'Ada Fenn',
        device: this.name,
        ...more,
      };
      this.made.set(entry.id, entry);
      this.#waiting.add(entry.id);
      return entry;
    };
    if (!this.#visit || random.chance(0.15)) {
      this.#visit = newId();
      make('visit-started', { station: 'PEL-1', programme: 'town-lakes', programmeVersion: 1, observers: ['Asa'], line: 'R-5' });
    }
    for (let i = random.below(6); i >= 0; i--) {
      const entry = make('sounding', { depth: { written: `2.${random.below(90) + 10}`, unit: 'm' } });
      if (random.chance(0.3)) {
        make('strike', {}, { strikes: entry.id, why: 'misread' });
      }
    }
  }

  /** One delivery of some of what waits, and of some that was sent before. */
  async deliver() {
    const { random, counts } = this;
    const waiting = [...this.#waiting];
    const again = random.chance(0.2) ? [...this.acknowledged].slice(-random.below(12)) : [];
    let ids = [...waiting.slice(0, 1 + random.below(40)), ...again];
    if (random.chance(0.5)) {
      ids = random.shuffled(ids);
      counts.reordered++;
    }
    const entries = ids.map((id) => this.made.get(id));
    const jump = random.chance(0.1);
    counts.clockJumps += jump;
    const sentAt = new Date(Date.now() + (jump ? (random.next() - 0.5) * 1e11 : 0)).toISOString();
    const send = () => this.#ask('POST', '/api/entries', { sentAt, entries, mark: this.#mark });
    counts.requests++;
    let replies;
    if (random.chance(0.1)) {
      counts.doubled++;
      replies = (await Promise.allSettled([send(), send()])).flatMap(({ value }) => (value ? [value] : []));
    } else {
      replies = [await send()];
    }
    if (random.chance(0.1)) {
      counts.repliesDropped++;
      return;
    }
    for (const { answers, mark, holds } of replies) {
      for (const { index, status, problem } of answers) {
        const id = ids[index];
        if (status === 'kept' || status === 'already') {
          this.acknowledged.add(id);
          this.#waiting.delete(id);
        } else if (status === 'refused') {
          this.refused.set(id, problem?.title);
          this.#waiting.delete(id);
        }
      }
      this.#mark = mark;
      if (!holds) {
        // A log that lost what it acknowledged: that is what this looks for.
        counts.offeredAgain++;
      }
    }
  }

  /** Writes and delivers until told to stop; a server that is gone is tried again. */
  async run(stopped) {
    while (!stopped()) {
      if (this.#waiting.size < 200) {
        this.write();
      }
      await this.deliver().catch(() => new Promise((again) => setTimeout(again, RETRY_MS)));
    }
  }

  /** Delivers until nothing waits. */
  async drain() {
    for (let tries = 0; this.#waiting.size > 0; tries++) {
      if (tries > 400) {
        throw new Error(`${this.name}: ${this.#waiting.size} entries still wait.`);
      }
      await this.deliver().catch(() => new Promise((again) => setTimeout(again, RETRY_MS)));
    }
  }

  /** What the server has of a visit. */
  entriesOf(visit) {
    return this.#ask('GET', `/api/visits/${visit}/entries`);
  }

  /** Holds what was acknowledged against what the server has. */
  async compare() {
    const found = { lost: [], doubled: [], altered: [], foreign: [] };
    for (const visit of new Set([...this.made.values()].map((entry) => entry.visit))) {
      const there = await this.entriesOf(visit);
      const seen = new Map();
      for (const { receipt, ...entry } of there) {
        if (seen.has(entry.id)) {
          found.doubled.push(entry.id);
        }
        seen.set(entry.id, entry);
        const made = this.made.get(entry.id);
        if (!made) {
          found.foreign.push(entry.id);
        } else if (
          !isDeepStrictEqual(
            JSON.parse(JSON.stringify(made)),
            Object.fromEntries(Object.entries(entry).filter(([, value]) => value !== null)),
          )
        ) {
          found.altered.push(entry.id);
        }
      }
      for (const { id } of [...this.made.values()].filter((entry) => entry.visit === visit)) {
        if (this.acknowledged.has(id) && !seen.has(id)) {
          found.lost.push(id);
        }
      }
    }
    return found;
  }
}
