export { EmojiPicker } from './EmojiPicker';
