export { ApiProblem, ask, onSignedOut } from './client';
export * from './queries';
export type * from './types';
export { readAgain, readAllAgain, readListsAgain, readNoticesAgain } from './refresh';
