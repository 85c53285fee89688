export { Answered } from './Answered';
export { ActButton } from './ActButton';
export { drawNow, StandsAt, useAddress, useOpenConversation, useShowsAddress } from './address';
export { Blank } from './Blank';
export { isAsked, isTyping, useKeys } from './keys';
export { MeContext, refusal, useMe, useRefusal } from './me';
export { Moment } from './Moment';
export { useNow } from './now';
export { useStable } from './useStable';
export { NowProvider } from './NowProvider';
export { OwnerMark } from './OwnerMark';
export { ProblemNote } from './ProblemNote';
export { anythingUnsaved, onUnsaved, useUnsaved } from './unsaved';
export { BlankText } from './BlankText';
export { StaffMark } from './StaffMark';
export { TopicMark } from './TopicMark';
export {
  lastOffer,
  MOVED_ON,
  offerUndo,
  onceActsAnswered,
  OWN_ACT,
  tellMovedOn,
  tellOwnAct,
  UNDOABLE,
  useOffer,
  withdrawOffer,
  WORDS_BACK,
  type WordsBack,
} from './undo';
export { readAgainAfterUndo, useTakeBack } from './useTakeBack';
export { TimeDialog } from './AskTime';
export { MarkPicker } from './MarkPicker';
export { PlaceTabs } from './PlaceTabs';
export { useTitle, useUnseenInTitle } from './title';
export { OfficeTabs } from './OfficeTabs';
export { Field } from './Field';
export { NumberCheckLine } from './NumberCheckLine';
export { ShownOnce } from './ShownOnce';
export { whyOf } from './why';
export { openWriting, useOpenWriting } from './writing';
export { focusing } from './focusing';
export { part } from './part';
