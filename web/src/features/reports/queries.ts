import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

/** While all days are summed again, and on a screen that stays open, figures are asked for again this often. */
const SUMMING_MS = 3_000;
const GOING_ON_MS = 60_000;

const again = (percent: number | undefined) => ((percent ?? 100) < 100 ? SUMMING_MS : GOING_ON_MS);

/** The figures that a sentence means. */
export const reportQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.reports, 'report', sentence] as const,
    queryFn: () => ask('GET', '/api/reports', { query: { sentence } }),
    placeholderData: keepPreviousData,
    staleTime: 0,
    refetchInterval: ({ state }) => again(state.data?.percent),
  });

/** How customers wait at each hour of the week. */
export const weekQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.reports, 'week', sentence] as const,
    queryFn: () => ask('GET', '/api/reports/week', { query: { sentence } }),
    placeholderData: keepPreviousData,
    staleTime: 0,
    refetchInterval: ({ state }) => again(state.data?.percent),
  });

/** The conversations behind a figure. */
export const behindQuery = (sentence: string, key: string, late: boolean) =>
  queryOptions({
    queryKey: [...keys.reports, 'behind', sentence, key, late] as const,
    queryFn: () => ask('GET', '/api/reports/behind', { query: { sentence, key, late } }),
    staleTime: 0,
  });

/** Months, what the coming one will cost, and other price plans. */
export const costsQuery = (volume: number | undefined) =>
  queryOptions({
    queryKey: [...keys.reports, 'costs', volume] as const,
    queryFn: () => ask('GET', '/api/reports/costs', { query: { volume } }),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
