import { expect, it } from 'vitest';
import { likelihoodWords, percent, placeOfNobody, shownAtFirst } from './likelihood';

it('says a likelihood in words at its bounds', () => {
  expect([0.9, 0.89, 0.7, 0.69, 0.4, 0.39].map(likelihoodWords)).toEqual([
    'almost certainly',
    'probably',
    'probably',
    'perhaps',
    'perhaps',
    'not likely',
  ]);
});

it('calls nothing certain and nothing impossible', () => {
  expect([0, 0.004, 0.5, 0.996, 1].map(percent)).toEqual(['1 %', '1 %', '50 %', '99 %', '99 %']);
});

it('has nobody we know after those who are likelier, and shows one fewer of the others when it is the likeliest', () => {
  const ranked = (nobody: number) => ({ nobody, candidates: [{ likelihood: 0.6 }, { likelihood: 0.2 }] });
  expect([0.7, 0.6, 0.3, 0.1].map((nobody) => placeOfNobody(ranked(nobody)))).toEqual([0, 1, 1, 2]);
  expect([0.7, 0.3].map((nobody) => shownAtFirst(ranked(nobody)))).toEqual([2, 3]);
});
