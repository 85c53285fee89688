import { useState } from 'react';
import type { Dossier, Paper } from '../../shared/api';
import { useSheet } from './useSheet';

export type Papers = ReturnType<typeof usePapers>;

/** The two papers of a conversation, and which of them lies on top. */
export function usePapers(me: number, dossier: Dossier) {
  const [paper, lay] = useState<Paper>(dossier.conversation.answerable ? 'REPLY' : 'NOTE');
  const reply = useSheet(me, dossier, 'REPLY');
  const note = useSheet(me, dossier, 'NOTE');
  const of = (which: Paper) => (which === 'NOTE' ? note : reply);
  return { paper, isNote: paper === 'NOTE', lay, reply, note, of, top: of(paper) };
}
