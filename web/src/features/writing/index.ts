export { WritingPlace } from './WritingPlace';
export { answeredMeanwhile, useSend } from './useSend';
export { useSheet } from './useSheet';
export type { WritingHandle } from './WritingPlace';
