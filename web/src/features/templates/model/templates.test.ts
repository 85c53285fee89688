import { describe, expect, it } from 'vitest';
import type { Template } from '../../../shared/api';
import { chapters, found, partsWords, usageWords } from './book';
import { piecesOf, shortWritten } from './pieces';

it('a template is shown with its placeholders by name', () => {
  expect(piecesOf('Hi {customer: first name | there}, {Boat} at {site: name}.')).toEqual([
    { words: 'Hi ' },
    { name: 'first name', fallback: 'there' },
    { words: ', ' },
    { name: 'Boat', fallback: undefined },
    { words: ' at ' },
    { name: 'site: name', fallback: undefined },
    { words: '.' },
  ]);
  expect(shortWritten('{customer: Boat}')).toBe('{Boat}');
  expect(shortWritten('{site: name}')).toBe('{site: name}');
});

const template = (more: Partial<Template>): Template => ({
  id: 1,
  title: 'Lift slots',
  shortName: 'lift',
  words: 'We have a slot.',
  folder: '',
  language: '',
  guarded: false,
  retired: false,
  version: 1,
  lines: [],
  files: [],
  sites: [],
  teams: [],
  favourite: false,
  mayChange: true,
  ...more,
});

describe('the book', () => {
  it('has a chapter a folder, favourites first, the retired last', () => {
    const all = [
      template({ id: 1, folder: 'Yard' }),
      template({ id: 2, folder: 'Berths', favourite: true }),
      template({ id: 3, retired: true, folder: 'Yard' }),
      template({ id: 4 }),
    ];
    expect(chapters(all).map(({ name, templates }) => [name, templates.map(({ id }) => id)])).toEqual([
      ['Favourites', [2]],
      ['Berths', [2]],
      ['Yard', [1]],
      ['No folder', [4]],
      ['Retired', [3]],
    ]);
  });
  it('finds by short name, title, folder and words', () => {
    const all = [
      template({ id: 1 }),
      template({ id: 2, title: 'Hours', shortName: 'hrs', words: 'Open.', folder: 'Office' }),
    ];
    const ids = (words: string) => found(all, words).map(({ id }) => id);
    expect(ids('HRS')).toEqual([2]);
    expect(ids('slot we')).toEqual([1]);
    expect(ids('off')).toEqual([2]);
    expect(ids(' ')).toEqual([1, 2]);
  });
  it('says how long a text gets and how it is used', () => {
    expect(partsWords(1, 1)).toBe('1 part');
    expect(partsWords(1, 3)).toBe('1 to 3 parts');
    expect(usageWords({ times: 0, by: [], latest: 0, askedAgain: 0 })).toBe('Not used yet.');
    expect(
      usageWords({
        times: 12,
        by: [
          { name: 'Maren Oduya', times: 8 },
          { name: 'Eli C', times: 4 },
        ],
        latest: 12,
        askedAgain: 3,
      }),
    ).toBe('Used 12 times: Maren Oduya 8, Eli C 4. After 3 of 12 the customer asked again within a day.');
  });
});
