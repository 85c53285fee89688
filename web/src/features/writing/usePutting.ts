import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import type { OfferedTemplate, Paper } from '../../shared/api';
import { putIn } from './model/typed';
import type { Papers } from './usePapers';

interface Wanted {
  papers: Papers;
  answerable: boolean;
  field: RefObject<HTMLTextAreaElement | null>;
  /** Puts the files of a template to the text. */
  onFiles: (files: OfferedTemplate['files']) => void;
  onWriting: (writing: boolean) => void;
}

/** Puts words on the papers where the cursor is, and leaves it behind them. */
export function usePutting({ papers, answerable, field, onFiles, onWriting }: Wanted) {
  const { isNote, lay, reply, of, top } = papers;
  const select = (from: number, to = from) => {
    field.current?.focus();
    field.current?.setSelectionRange(from, to);
  };
  return {
    /** Puts a template on the reply, in place of a stretch or of what is marked. */
    insert: ({ words, id, version, files }: OfferedTemplate, from?: number, to?: number) => {
      if (!answerable) return;
      const { words: had } = reply.sheet;
      const at = isNote ? undefined : field.current;
      const put = putIn(had, from ?? at?.selectionStart ?? had.length, to ?? at?.selectionEnd ?? had.length, words);
      flushSync(() => {
        lay('REPLY');
        reply.write(put.words, undefined, { id, version });
      });
      onFiles(files);
      onWriting(true);
      select(put.from, put.to);
    },
    /** Puts a sign where the cursor is, on either paper. */
    putSign: (sign: string) => {
      const { words } = top.sheet;
      const from = field.current?.selectionStart ?? words.length;
      const to = field.current?.selectionEnd ?? from;
      flushSync(() => top.write(words.slice(0, from) + sign + words.slice(to)));
      if (!isNote) onWriting(true);
      select(from + sign.length);
    },
    /** Lays out a paper; with words, adds them. */
    begin: (wanted: Paper, words?: string, again?: number) => {
      if (wanted === 'REPLY' && !answerable) return;
      flushSync(() => {
        lay(wanted);
        // What is on the paper already is not put there twice, as after a reload.
        const paper = of(wanted);
        const had = paper.sheet.words;
        const there = again !== undefined && paper.sheet.again === again && had !== '';
        if (words && !there) paper.write(had ? `${had}\n${words}` : words, again);
      });
      field.current?.focus();
    },
  };
}
