import { Box } from '@mui/material';
import { type KeyboardEvent, useState } from 'react';

interface Props {
  name: string;
  value: string;
  placeholder: string;
  type?: 'text' | 'date';
  /** The most characters there can be. */
  longest?: number;
  /** The cursor goes there as soon as it is shown. */
  begin?: boolean;
  /** It looks like what is around it, until it has the focus. */
  plain?: boolean;
  onChange: (value: string) => void;
}

/** A blank in a sentence that is filled with words. Enter, or leaving it, says them; Escape leaves it as it was. */
export function BlankText({
  name,
  value,
  placeholder,
  type = 'text',
  longest = 80,
  begin = false,
  plain = false,
  onChange,
}: Props) {
  const [words, setWords] = useState(value);
  const [before, setBefore] = useState(value);
  if (before !== value) {
    setBefore(value);
    setWords(value);
  }
  const pressed = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') event.currentTarget.blur();
    if (event.key === 'Escape') setWords(value);
  };
  return (
    <Box
      component="input"
      type={type}
      aria-label={name}
      value={words}
      placeholder={placeholder}
      maxLength={longest}
      ref={(field: HTMLInputElement | null) => {
        if (begin && field && !field.dataset.begun) {
          field.dataset.begun = 'yes';
          // A menu that is just closing holds the focus until it is gone.
          setTimeout(() => field.focus());
        }
      }}
      onChange={(event: React.ChangeEvent<HTMLInputElement>) => setWords(event.target.value)}
      onBlur={() => {
        if (words !== value) onChange(words);
      }}
      onKeyDown={pressed}
      style={
        type === 'text'
          ? { width: plain ? '100%' : `${Math.min(26, Math.max(words.length, placeholder.length) + 1)}ch` }
          : {}
      }
      sx={{
        font: 'inherit',
        fontWeight: plain ? 'inherit' : 600,
        maxWidth: '100%',
        color: plain ? 'inherit' : 'primary.main',
        bgcolor: 'transparent',
        border: 0,
        borderBottom: 1,
        borderBottomStyle: words === '' ? 'dotted' : 'solid',
        borderColor: plain ? 'transparent' : words === '' ? 'text.secondary' : 'primary.main',
        '&:hover, &:focus': { borderColor: 'primary.main' },
        p: 0,
        lineHeight: 1.2,
        '&::placeholder': { color: 'text.secondary', fontWeight: 400, fontStyle: 'italic', opacity: 1 },
      }}
    />
  );
}
