import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import type { Hit } from '../../shared/api';
import type { GoTo } from '../entries';
import { findQuery, type FindIn } from './queries';

/** What of a script is shown. */
export type ShownPart = 'all' | 'texts' | 'notes' | 'planned';

export interface Find {
  isOpen: boolean;
  open: () => void;
  close: () => void;
  words: string;
  setWords: (words: string) => void;
  part: ShownPart;
  setPart: (part: ShownPart) => void;
  /** How many lines have the words; undefined while that is not known. */
  count: number | undefined;
  /** Which of them is current, from 1 for the newest; 0 for none. */
  at: number;
  /** To the next earlier one, or a later one. */
  step: (by: 1 | -1) => void;
  hits: Map<number, Hit[]>;
  goTo: GoTo | undefined;
  hints: string[];
  error: unknown;
}

const NONE = new Map<number, Hit[]>();

/** Finding words in one script, or in all that was said with a customer; it begins at the newest line that has them. */
export function useFind(place: FindIn): Find {
  const [isOpen, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const [part, setPart] = useState<ShownPart>('all');
  const sought = useDeferredValue(words.trim());
  const found = useQuery({ ...findQuery(place, sought), enabled: isOpen && sought !== '' });
  const rows = found.data?.rows;
  const [step, setStep] = useState({ of: rows, at: 0 });
  if (step.of !== rows) setStep({ of: rows, at: 0 });
  const hits = useMemo(() => (rows ? new Map(rows.map(({ entry, hits }) => [entry.id, hits])) : NONE), [rows]);
  const id = rows?.[step.at]?.entry.id;
  const goTo = useMemo(() => (id === undefined ? undefined : { id, step }), [id, step]);
  const any = isOpen && sought !== '';
  return {
    isOpen,
    open: () => setOpen(true),
    close: () => {
      setOpen(false);
      setPart('all');
    },
    words,
    setWords,
    part: isOpen ? part : 'all',
    setPart,
    count: any ? rows?.length : 0,
    at: rows && rows.length > 0 ? step.at + 1 : 0,
    step: (by) =>
      setStep(({ of, at }) => {
        const length = of?.length ?? 0;
        return { of, at: length === 0 ? 0 : (at + by + length) % length };
      }),
    hits: any ? hits : NONE,
    goTo: any ? goTo : undefined,
    hints: found.data?.hints ?? [],
    error: found.error,
  };
}
