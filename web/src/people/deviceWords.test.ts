import { expect, test } from 'vitest';
import { deviceWords } from './deviceWords';

test.each([
  [
    'Mozilla/5.0 (Linux; Android 14; Pixel 7) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/131.0 Mobile Safari/537.36',
    'Chrome on Android',
  ],
  [
    'Mozilla/5.0 (iPhone; CPU iPhone OS 18_1 like Mac OS X) AppleWebKit/605.1.15 Version/18.1 Mobile/15E148 Safari/604.1',
    'Safari on iPhone or iPad',
  ],
  ['Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:132.0) Gecko/20100101 Firefox/132.0', 'Firefox on Windows'],
  ['a script of ours', 'a script of ours'],
  ['', 'A device that does not say what it is'],
])('%s', (agent, words) => expect(deviceWords(agent)).toBe(words));
