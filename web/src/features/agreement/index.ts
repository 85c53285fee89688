import { lazy } from 'react';

export { AgreementFact } from './AgreementFact';
export { useNoteAgreement } from './queries';
/** Fetched once the script is there. */
export const StopWish = lazy(() => import('./StopWish').then((part) => ({ default: part.StopWish })));
/** Fetched when the customer is first laid beside a script. */
export const AgreementPart = lazy(() => import('./AgreementPart').then((part) => ({ default: part.AgreementPart })));
