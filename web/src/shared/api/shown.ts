import type { InfiniteData, QueryClient } from '@tanstack/react-query';
import { keys } from './queries';
import type { Dossier, ScriptPage, Shown } from './types';

/**
 * What the page shows of a conversation now: its newest line, and which of our texts it says were not delivered. The script
 * itself may be on its way yet.
 */
export function shownNow(queries: QueryClient, id: number): Shown {
  const dossier = queries.getQueryData<Dossier>(keys.dossier(id));
  const script = queries.getQueryData<InfiniteData<ScriptPage>>(keys.script(id));
  const entries = script?.pages.flatMap((page) => page.entries) ?? [];
  const lost = entries.filter((entry) => entry.needsHand).map((entry) => entry.id);
  return {
    newest: Math.max(dossier?.newest ?? 0, ...entries.map((entry) => entry.id)),
    lost: [...new Set([...(dossier?.lost ?? []), ...lost])],
  };
}
