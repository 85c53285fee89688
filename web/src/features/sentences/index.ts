export { SavedSentences } from './SavedSentences';
export { sentencesQuery } from './queries';
