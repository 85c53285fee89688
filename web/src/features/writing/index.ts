export { WritingPlace } from './WritingPlace';
export { answeredMeanwhile, useSend } from './useSend';
export { asking, isRefused } from './model/objections';
export { sendWords } from './model/meter';
export { Reasons } from './Objections';
export { useSheet } from './useSheet';
export type { WritingHandle } from './WritingPlace';
