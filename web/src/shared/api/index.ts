export { ask } from './ask';
export { ApiProblem, isOffline, onSignedOut, PATIENCE_MS } from './client';
export { isSending, sendingKey, sendScope, useOnline } from './sending';
export { shownNow } from './shown';
export { endSession, rescue, rescued } from './session';
export * from './queries';
export type * from './types';
export { readAgain, readAllAgain, readListsAgain, readNoticesAgain } from './refresh';
export * from './readMarks';
