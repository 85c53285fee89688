import { Box } from '@mui/material';
import { type ChangeEvent, type Ref, useId } from 'react';

interface Props {
  ref?: Ref<HTMLTextAreaElement>;
  words: string;
  error: boolean;
  helperText: string | undefined;
  onWrite: (words: string) => void;
}

const PLACEHOLDER = /(\{[^{}]*\})/;

/** Where a template is written: its placeholders are framed as they are typed. */
export function WordsField({ ref, words, error, helperText, onWrite }: Props) {
  const id = useId();
  const type = {
    typography: 'words',
    font: 'inherit',
    whiteSpace: 'pre-wrap',
    overflowWrap: 'anywhere',
    p: 1,
    border: 1,
    borderRadius: 1,
    boxSizing: 'border-box',
    width: '100%',
    gridArea: '1 / 1',
    minHeight: 120,
  } as const;
  return (
    <Box>
      <Box component="label" htmlFor={id} sx={{ typography: 'caption', color: 'text.secondary' }}>
        Words
      </Box>
      <Box sx={{ display: 'grid', typography: 'words' }}>
        <Box aria-hidden sx={{ ...type, borderColor: 'transparent', color: 'transparent' }}>
          {words.split(PLACEHOLDER).map((part, i) =>
            i % 2 === 1 ? (
              <Box
                key={i}
                component="span"
                sx={{ bgcolor: 'inks.pineWash', borderRadius: 1, boxShadow: 'inset 0 0 0 1px currentcolor' }}
                style={{ color: 'var(--mui-palette-divider)' }}
              >
                {part}
              </Box>
            ) : (
              part
            ),
          )}
          {'\n '}
        </Box>
        <Box
          component="textarea"
          id={id}
          ref={ref}
          value={words}
          aria-invalid={error}
          aria-describedby={helperText ? `${id}-why` : undefined}
          onChange={(event: ChangeEvent<HTMLTextAreaElement>) => onWrite(event.target.value)}
          sx={{
            ...type,
            resize: 'none',
            overflow: 'hidden',
            bgcolor: 'transparent',
            color: 'text.primary',
            borderColor: error ? 'error.main' : 'text.secondary',
          }}
        />
      </Box>
      {helperText && (
        <Box id={`${id}-why`} sx={{ typography: 'caption', color: error ? 'error.main' : 'text.secondary' }}>
          {helperText}
        </Box>
      )}
    </Box>
  );
}
