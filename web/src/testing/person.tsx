import { RouterProvider } from '@tanstack/react-router';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, vi } from 'vitest';
import type { Entry } from '../api/client';

/** What a person does with the interface: the real server, the real core, and a page without a browser around it. */
export class Person {
  readonly user = userEvent.setup({ delay: null, pointerEventsCheck: 0 });

  /** The demo as it begins, a device that knows nothing, and someone signed in. */
  static async opens(account = 'coordinator'): Promise<Person> {
    await fetch('/api/demo/afresh', { method: 'POST' });
    await new Promise((done, fail) => {
      const gone = indexedDB.deleteDatabase('upper-still');
      gone.onsuccess = done;
      gone.onerror = fail;
    });
    localStorage.clear();
    history.replaceState(null, '', '/');
    vi.resetModules();
    const { router } = await import('../routes');
    const { startDelivering } = await import('../field/delivery');
    const { api } = await import('../api/client');
    const { takeSession } = await import('../people/session');
    await takeSession((await api.GET('/api/session')).data as never);
    const { data } = await api.POST('/api/session', { body: { signInName: account, password: 'upper-still-demo' } });
    await takeSession(data as never);
    startDelivering();
    render(<RouterProvider router={router} />);
    await screen.findByRole('heading', { name: 'Pell Tarn, Middle' });
    // The demo's day comes with the first answer of the server: what is typed before that would be of the device's own day.
    const { nowLocal } = await import('../field/clock');
    await waitFor(() => expect(nowLocal()).toMatch(/^2026-08-12/));
    return new Person();
  }

  /** To an address, as a link within the page leads there. */
  async goesTo(path: string): Promise<void> {
    const { router } = await import('../routes');
    await router.navigate({ to: path });
  }

  /** A button, once it can be touched. */
  async touches(name: string | RegExp): Promise<void> {
    const button = await waitFor(() => {
      const found = screen.getByRole<HTMLButtonElement>('button', { name });
      // What waits for its step to be fetched is put out of sight by its own style.
      expect(found.disabled || found.closest('[style*="display: none"]'), `${name} cannot be touched`).toBeFalsy();
      return found;
    });
    await this.user.click(button);
  }

  async ticks(name: string | RegExp): Promise<void> {
    await this.user.click(await screen.findByRole('checkbox', { name }));
  }

  /** One of a few, by one touch. */
  async picks(group: string | RegExp, option: string): Promise<void> {
    await this.user.click(within(await screen.findByRole('group', { name: group })).getByText(option));
  }

  /** Puts something else into a box. */
  async fills(label: string | RegExp, written: string): Promise<void> {
    const box = await screen.findByLabelText(label);
    await this.user.clear(box);
    if (written) {
      await this.user.type(box, written);
    }
  }

  /** Begins a visit for what is due, and goes on to the sounding. */
  async starts(station: string, due: string[] = ['clarity']): Promise<void> {
    await this.begins(station, due);
    await this.touches('On to the sounding');
  }

  /** Begins a visit for what is due. */
  async begins(station: string, due: string[]): Promise<void> {
    const row = (await screen.findByRole('heading', { name: station })).closest('li') as HTMLElement;
    await this.user.click(within(row).getByRole('link', { name: 'Start a visit' }));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Begin' })).toHaveProperty('disabled', false));
    for (const box of within(screen.getByRole('group', { name: 'To do today' })).getAllByRole<HTMLInputElement>('checkbox')) {
      if (box.checked !== due.includes(box.parentElement?.textContent?.trim() ?? '')) {
        await this.user.click(box);
      }
    }
    await this.touches('Begin');
  }

  /** To a step of the visit, by the runsheet. */
  async goes(step: string): Promise<void> {
    await this.touches(new RegExp(`^(done|next|to do|not done): *${step}`));
    await waitFor(() => expect(document.querySelector('[aria-current=step]')?.textContent).toContain(step));
  }

  /** A question takes an answer; an empty one is only sent. */
  async answers(question: string | RegExp, written: string): Promise<void> {
    const box = await screen.findByRole('textbox', { name: question });
    await this.user.clear(box);
    await this.user.type(box, `${written}{Enter}`);
  }

  /** A number or words into an empty box of a protocol, written down. */
  async writes(label: string, text: string): Promise<void> {
    const box = (await screen.findAllByRole('textbox', { name: label }))[0] as HTMLElement;
    await this.user.type(box, text);
    await this.user.click(within(box.closest('form') as HTMLElement).getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(box.isConnected).toBe(false));
  }

  /** The first of the answers of that name. */
  async chooses(answer: string): Promise<void> {
    await this.user.click((await screen.findAllByRole('radio', { name: answer }))[0] as HTMLElement);
  }

  async strikes(entry: string | RegExp, reason: string): Promise<void> {
    await this.touches(entry);
    await this.touches(reason);
    await this.touches('Strike it');
  }

  /** What stands beside a name among the figures. */
  async sees(label: string, figure: string): Promise<void> {
    await waitFor(() =>
      expect(screen.getAllByText(label).map((name) => name.closest('dl > div')?.textContent)).toContainEqual(
        expect.stringContaining(figure),
      ),
    );
  }

  /** Words that stand somewhere on the page. */
  async reads(words: string | RegExp): Promise<void> {
    await waitFor(() => expect(document.body.textContent).toMatch(words));
  }

  /** Words that stand nowhere on it any more. */
  async readsNoMore(words: string | RegExp): Promise<void> {
    await waitFor(() => expect(document.body.textContent).not.toMatch(words));
  }

  /** A warning with these words. */
  async isWarned(words: string): Promise<HTMLElement> {
    return waitFor(() => {
      const found = screen.getAllByRole('alert').find(({ textContent }) => textContent?.includes(words));
      expect(found, `no warning says ${words}`).toBeDefined();
      return found as HTMLElement;
    });
  }

  /** One lowering of the composite sampler, and its bottles. */
  async composes(fill: string, bottles: string[]): Promise<void> {
    await this.picks('It came up', fill);
    await this.touches('Write it down');
    for (const bottle of bottles) {
      await this.touches(`Fill ${bottle}`);
      await this.picks(/^Rinsed, times/, '1');
      await this.picks(/^Filled:/, 'as asked');
      if (screen.queryByRole('group', { name: /^Drops of/ })) {
        await this.picks(/^Drops of/, '5');
      }
      await this.touches('Filled, capped, into the cooler');
      await screen.findByRole('button', { name: `Strike ${bottle} ✓` });
    }
  }

  /** What this device has kept of the visit that the page shows. */
  async kept(): Promise<Entry[]> {
    const { store } = await import('../field/store');
    const visit = /\/visit\/([^/?#]+)/.exec(location.href)?.[1] ?? '';
    return (await store.entries.where('visit').equals(visit).toArray()).map(({ entry }) => entry);
  }
}
