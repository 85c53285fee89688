import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Dossier, keys, readListsAgain } from '../api';
import { tellOwnAct, WORDS_BACK, type WordsBack } from './undo';

/** Reads everything again that something taken back may have changed. */
export function readAgainAfterUndo(queries: QueryClient): void {
  tellOwnAct();
  readListsAgain(queries);
  void queries.invalidateQueries({ queryKey: ['dossier'] });
  void queries.invalidateQueries({ queryKey: ['script'] });
}

/** Takes back a person's own text before it leaves. Its words are on the paper of its conversation again, above what is there. */
export function useTakeBack(onBack?: (conversation: number) => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (text: number) => ask('POST', '/api/texts/{id}/take-back', { path: { id: text } }),
    onSuccess: ({ conversation, words }) => {
      queries.setQueryData<Dossier>(keys.dossier(conversation), (had) => had && withDraft(had, words));
      const detail: WordsBack = { conversation, words };
      window.dispatchEvent(new CustomEvent(WORDS_BACK, { detail }));
      onBack?.(conversation);
    },
    onSettled: () => readAgainAfterUndo(queries),
  });
}

function withDraft(had: Dossier, words: string): Dossier {
  const before = had.drafts.find((draft) => draft.paper === 'REPLY');
  const others = had.drafts.filter((draft) => draft.paper !== 'REPLY');
  // What was read before the text was sent may still lie there.
  const both = before && before.words !== '' && before.words !== words ? `${words}\n${before.words}` : words;
  return { ...had, drafts: [...others, { paper: 'REPLY', words: both, at: new Date().toISOString() }] };
}
