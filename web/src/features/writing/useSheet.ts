import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { ask, type Dossier, keys, type Paper, shownNow } from '../../shared/api';
import { WORDS_BACK, type WordsBack } from '../../shared/ui';
import { afterSending, newest, readSheet, returned, type Sheet, storageKey } from './model/draft';

/** How long after the last stroke the server is told; this browser keeps every stroke at once. */
const TELL_AFTER_MS = 1_500;

/** One sheet of paper of one conversation. Its words survive moving about, reloads and, through the server, another browser. */
export function useSheet(staff: number, dossier: Dossier, paper: Paper) {
  const queries = useQueryClient();
  const id = dossier.conversation.id;
  const place = storageKey(staff, id, paper);
  const [sheet, setSheet] = useState<Sheet>(() =>
    newest(
      readSheet(localStorage.getItem(place)),
      dossier.drafts.find((draft) => draft.paper === paper),
      crypto.randomUUID(),
    ),
  );
  const untold = useRef<Omit<Sheet, 'at' | 'toDo'> | undefined>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  // What the paper is now: an answer of the server comes when another drawing of it may long have been made.
  const latest = useRef(sheet);

  const tell = useCallback(() => {
    clearTimeout(timer.current);
    const begun = untold.current;
    if (begun === undefined) return;
    untold.current = undefined;
    const { template, ...rest } = begun;
    const { words } = begun;
    const body = { ...rest, template: template?.id, templateVersion: template?.version };
    const put = ask('PUT', '/api/conversations/{id}/drafts/{paper}', { path: { id, paper }, body, keepalive: true });
    const remember = () =>
      queries.setQueryData<Dossier>(keys.dossier(id), (had) => {
        if (!had) return had;
        const others = had.drafts.filter((draft) => draft.paper !== paper);
        return {
          ...had,
          drafts: words === '' ? others : [...others, { paper, ...body, at: new Date().toISOString() }],
        };
      });
    remember();
    put.then(
      // What was read from the server meanwhile may still have had the words that are gone.
      () => words === '' && latest.current.words === '' && remember(),
      // Not told is not lost: this browser has it, and the next stroke tells it again.
      () => undefined,
    );
  }, [id, paper, queries]);

  useEffect(() => {
    window.addEventListener('pagehide', tell);
    return () => {
      window.removeEventListener('pagehide', tell);
      tell();
    };
  }, [tell]);

  const keep = (next: Sheet) => {
    latest.current = next;
    setSheet(next);
    if (next.words === '') localStorage.removeItem(place);
    else localStorage.setItem(place, JSON.stringify(next));
  };
  const tellSoon = () => {
    const { words, seen, reference, again, template } = latest.current;
    untold.current = { words, seen, reference, again, template };
    clearTimeout(timer.current);
    timer.current = setTimeout(tell, TELL_AFTER_MS);
  };

  // A text that a colleague returned, or that was taken back from waiting for one, is on the paper again as well.
  const kept = dossier.drafts.find((draft) => draft.paper === paper);
  const known = useRef(kept);
  // It comes back once: the server may say so again after the person wrote something else in its place.
  const back = useRef(kept?.reference === undefined ? kept?.words : undefined);
  useEffect(() => {
    const before = known.current;
    known.current = kept;
    const next = kept && kept.at !== before?.at ? returned(latest.current, kept, before, back.current) : undefined;
    if (!next) return;
    back.current = kept?.words;
    latest.current = next;
    setSheet(next);
    localStorage.setItem(place, JSON.stringify(next));
  }, [kept, place]);

  // A text that was taken back before it left is on the paper again, above what was written since.
  const putBack = useEffectEvent((words: string) => {
    const rest = latest.current.words;
    back.current = words;
    keep({ ...latest.current, words: rest === '' || rest === words ? words : `${words}\n${rest}`, at: Date.now() });
    tellSoon();
  });
  useEffect(() => {
    if (paper !== 'REPLY') return undefined;
    const heard = (event: Event) => {
      const { conversation, words } = (event as CustomEvent<WordsBack>).detail;
      if (conversation === id) putBack(words);
    };
    window.addEventListener(WORDS_BACK, heard);
    return () => window.removeEventListener(WORDS_BACK, heard);
  }, [id, paper]);

  return {
    sheet,
    /**
     * `again` is the text that was not delivered and that the words replace; without it, the one they replaced before. `template` is what
     * was put into them just now.
     */
    write: (words: string, again?: number, template?: Sheet['template']) => {
      const { current } = latest;
      const fresh = current.words.trim() === '';
      const seen = fresh ? shownNow(queries, id).newest : current.seen;
      const replaces = words.trim() === '' ? undefined : (again ?? (fresh ? undefined : current.again));
      const from = words.trim() === '' ? undefined : (template ?? current.template);
      keep({ ...current, words, at: Date.now(), seen, again: replaces, template: from });
      tellSoon();
    },
    /** Makes a note something to do, or only a note again. */
    ask: (toDo: Sheet['toDo']) => keep({ ...latest.current, toDo }),
    /** The words are on their way: told as a draft now, they would lie there again once they went out. */
    going: () => {
      clearTimeout(timer.current);
      untold.current = undefined;
    },
    /** They went out, and the server threw its draft away. What was written on meanwhile stays. */
    sent: (words: string, reference: string) => {
      back.current = undefined;
      keep(afterSending(latest.current, { words, reference }, crypto.randomUUID()));
      queries.setQueryData<Dossier>(
        keys.dossier(id),
        (had) => had && { ...had, drafts: had.drafts.filter((draft) => draft.paper !== paper) },
      );
      if (latest.current.words !== '') tellSoon();
    },
    /** They did not go out, and are a draft again; under a new reference if an earlier attempt went out with others. */
    stays: (differs: boolean) => {
      if (differs) keep({ ...latest.current, reference: crypto.randomUUID() });
      tellSoon();
    },
  };
}
