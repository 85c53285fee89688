export { Blank } from './Blank';
export { isTyping, useKeys } from './keys';
export { Moment } from './Moment';
export { useNow } from './now';
export { NowProvider } from './NowProvider';
export { OwnerMark } from './OwnerMark';
export { ProblemNote } from './ProblemNote';
