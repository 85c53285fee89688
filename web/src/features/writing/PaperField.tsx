import { Box } from '@mui/material';
import type { ChangeEvent, ClipboardEvent, KeyboardEvent, Ref } from 'react';
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
  /** Files were pasted; none where they cannot go with it. */
  onFiles: ((files: Iterable<File>) => void) | undefined;
}

/** The paper: plain for a reply, ruled and dashed for a note. */
export function PaperField({ ref, isNote, label, words, language, refusal, onWrite, onKey, onFiles }: Props) {
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
      onPaste={(event: ClipboardEvent) => {
        const { files } = event.clipboardData;
        // Words that were copied from a page often have a picture of themselves beside them.
        if (!onFiles || files.length === 0 || event.clipboardData.types.includes('text/plain')) return;
        event.preventDefault();
        onFiles([...files]);
      }}
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
