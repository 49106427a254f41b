import { expect, test } from 'vitest';
import { asked } from './asked';

test('an answer comes through', async () => expect(await asked(async () => ({ data: 3 }))).toEqual({ data: 3, problem: '' }));

test('a refusal comes in the words of the server', async () =>
  expect(await asked(async () => ({ error: { title: 'Too late.', detail: 'Ask for a new link.' } }))).toEqual({
    data: undefined,
    problem: 'Too late. Ask for a new link.',
  }));

test('a server that fails without words, or cannot be reached, still gives some', async () => {
  expect((await asked(async () => ({ error: '' }))).problem).toBe('The server could not do this.');
  expect((await asked(() => Promise.reject(new TypeError('Failed to fetch')))).problem).toContain('cannot be reached');
  expect((await asked(() => Promise.reject(new TypeError('Failed to fetch')), 'Later.')).problem).toBe('Later.');
});
