export { ApiProblem, ask, onSignedOut } from './client';
export * from './queries';
export type * from './types';
export { readAgain, readListsAgain, readNoticesAgain } from './refresh';
