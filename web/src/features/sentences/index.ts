export { SavedSentences } from './SavedSentences';
