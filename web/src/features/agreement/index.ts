import { lazy } from 'react';

export { AgreementFact } from './AgreementFact';
export { useNoteAgreement } from './queries';
export { StopWish } from './StopWish';
/** Fetched when the customer is first laid beside a script. */
export const AgreementPart = lazy(() => import('./AgreementPart').then((part) => ({ default: part.AgreementPart })));
