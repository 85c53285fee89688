import { Box, Button } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type RefObject, useEffect, useState } from 'react';
import { ask, type OfferedTemplate, offeredQuery } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { nextGap, shortNameBefore } from './model/typed';
import { shortNamesQuery, sinceQuery } from './queries';
import { useCursor } from './useCursor';
import { type HeldTab, useTab } from './useTab';

interface Props {
  /** The conversation. */
  id: number;
  version: number;
  field: RefObject<HTMLTextAreaElement | null>;
  tab: HeldTab;
  words: string;
  /** The template that is in the text. */
  template: { id: number; version: number } | undefined;
  /** Puts a template in place of a stretch of the words. */
  onInsert: (template: OfferedTemplate, from: number, to: number) => void;
}

const NONE: ReadonlySet<string> = new Set();

/** While the user writes: a short name and Tab put its template in; Tab goes to what is still missing in one. */
export function Inserting({ id, version, field, tab, words, template, onInsert }: Props) {
  const { data, isPending } = useQuery(shortNamesQuery(id));
  const known = data ?? NONE;
  const since = useQuery({ ...sinceQuery(template?.id ?? 0, template?.version ?? 0), enabled: template !== undefined });
  const queries = useQueryClient();
  useEffect(() => {
    const element = field.current;
    // Who begins to write may ask for the templates next: then they are there at once.
    const begun = () => void queries.prefetchInfiniteQuery(offeredQuery(id, version, ''));
    if (document.activeElement === element) begun();
    element?.addEventListener('focus', begun);
    return () => element?.removeEventListener('focus', begun);
  }, [field, id, version, queries]);
  const at = useCursor(field);
  const [problem, setProblem] = useState<unknown>();
  const put = (text: string, cursor: number, typed: string) => {
    setProblem(undefined);
    const from = cursor - typed.length;
    ask('GET', '/api/conversations/{id}/templates/named/{shortName}', { path: { id, shortName: typed } }).then(
      (found) => {
        // A person who types on meanwhile has changed their mind.
        if (field.current?.value === text) onInsert(found, from, cursor);
      },
      setProblem,
    );
  };
  useTab(field, tab, !isPending, (text, from, to) => {
    const typed = from === to ? shortNameBefore(text, from, known) : undefined;
    if (typed !== undefined) {
      put(text, from, typed);
      return true;
    }
    const gap = nextGap(text, to);
    if (gap) field.current?.setSelectionRange(gap.from, gap.to);
    return gap !== undefined;
  });
  const typed = shortNameBefore(words, at, known);
  return (
    <>
      {typed !== undefined && (
        <Button sx={{ px: 0, pt: 0.5, pb: 0 }} onClick={() => put(words, at, typed)}>
          Tab inserts the template “{typed.toLowerCase()}”
        </Button>
      )}
      {template && since.data?.sentence && (
        <Box role="status" sx={{ typography: 'body2', color: 'info.main', pt: 0.5 }}>
          {since.data.sentence}
        </Box>
      )}
      {problem !== undefined && <ProblemNote problem={problem} />}
    </>
  );
}
