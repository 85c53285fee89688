export { WritingPlace } from './WritingPlace';
export type { WritingHandle } from './WritingPlace';
