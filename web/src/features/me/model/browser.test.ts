import { expect, it } from 'vitest';
import { browserWords } from './browser';

it.each([
  [
    'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 HeadlessChrome/140.0 Safari/537.36',
    'Chrome or Chromium on Linux',
  ],
  ['Mozilla/5.0 (Windows NT 10.0; rv:140.0) Gecko/20100101 Firefox/140.0', 'Firefox on Windows'],
  ['Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) Version/18.0 Safari/604.1', 'Safari on iOS'],
  ['curl/8', 'A browser'],
])('%s', (agent, words) => {
  expect(browserWords(agent)).toBe(words);
});
