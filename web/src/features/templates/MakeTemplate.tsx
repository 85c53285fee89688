import { useQuery } from '@tanstack/react-query';
import { ask } from '../../shared/api';
import { TemplateDialog } from './TemplateDialog';

interface Props {
  /** The conversation in which the words were written. */
  id: number;
  words: string;
  onDone: () => void;
}

/** A template made of words that were written for one customer: what is known of them becomes a placeholder. */
export function MakeTemplate({ id, words, onDone }: Props) {
  const made = useQuery({
    queryKey: ['made-from', id, words],
    queryFn: () => ask('POST', '/api/conversations/{id}/templates/made-from', { path: { id }, body: { words } }),
    staleTime: 0,
    gcTime: 0,
  });
  // With the words as they are where that could not be asked.
  if (made.isPending) return null;
  return <TemplateDialog first={{ words: made.data?.words ?? words }} onDone={onDone} />;
}
