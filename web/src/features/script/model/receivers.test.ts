import { expect, it } from 'vitest';
import { byLetters, type Receiver } from './receivers';

const called = (name: string): Receiver => ({ key: name, name, to: {}, mark: undefined, standing: 'in' });
const all = [called('Priya Nandakumar'), called('Noor Lindqvist'), called('Wen Zhao'), called('Night-yard team')];

it.each([
  ['', ['Priya Nandakumar', 'Noor Lindqvist', 'Wen Zhao', 'Night-yard team']],
  ['n', ['Noor Lindqvist', 'Night-yard team', 'Priya Nandakumar']],
  ['NAN', ['Priya Nandakumar']],
  ['yard', ['Night-yard team']],
  ['oor', []],
])('%j finds whose names begin so, first names first', (letters, names) => {
  expect(byLetters(all, letters).map((one) => one.name)).toEqual(names);
});
