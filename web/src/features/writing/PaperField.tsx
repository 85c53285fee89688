import { Box } from '@mui/material';
import type { ChangeEvent, KeyboardEvent, Ref } from 'react';
import { notePaper } from '../../theme';

interface Props {
  ref: Ref<HTMLTextAreaElement>;
  isNote: boolean;
  label: string;
  words: string;
  /** In which the browser checks the spelling; else in that of the page. */
  language: string | undefined;
  refusal: string;
  onWrite: (words: string) => void;
  onKey: (event: KeyboardEvent<HTMLTextAreaElement>) => void;
}

/** The paper one writes on: plain for a reply, ruled and dashed for a note. */
export function PaperField({ ref, isNote, label, words, language, refusal, onWrite, onKey }: Props) {
  return (
    <Box
      component="textarea"
      ref={ref}
      aria-label={label}
      value={words}
      spellCheck
      lang={language}
      disabled={refusal !== ''}
      placeholder={refusal}
      rows={3}
      onChange={(event: ChangeEvent<HTMLTextAreaElement>) => onWrite(event.target.value)}
      onKeyDown={onKey}
      sx={[
        {
          display: 'block',
          width: '100%',
          boxSizing: 'border-box',
          resize: 'vertical',
          mt: 0.5,
          p: 1,
          minHeight: 62,
          maxHeight: '40vh',
          font: 'inherit',
          typography: 'words',
          color: 'text.primary',
          borderRadius: 1,
          bgcolor: 'background.paper',
          border: 1,
          borderStyle: isNote ? 'dashed' : 'solid',
          borderColor: 'text.secondary',
        },
        isNote ? notePaper : {},
        isNote ? { lineHeight: '24px', backgroundAttachment: 'local', backgroundPositionY: '8px' } : {},
      ]}
    />
  );
}
