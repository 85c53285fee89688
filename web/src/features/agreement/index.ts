import { part } from '../../shared/ui';

export { AgreementFact } from './AgreementFact';
export { useNoteAgreement } from './queries';
/** Fetched once the script is there. */
export const StopWish = part(() => import('./StopWish').then((part) => part.StopWish));
/** Fetched when the customer is first laid beside a script. */
export const AgreementPart = part(() => import('./AgreementPart').then((part) => part.AgreementPart));
