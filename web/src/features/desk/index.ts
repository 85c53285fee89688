export { WritingStrip } from './WritingStrip';
