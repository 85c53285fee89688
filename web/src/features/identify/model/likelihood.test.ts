import { expect, it } from 'vitest';
import { likelihoodWords, percent } from './likelihood';

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
