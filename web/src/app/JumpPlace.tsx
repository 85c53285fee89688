import { Box } from '@mui/material';
import { Suspense, useEffect, useRef, useState } from 'react';
import { part } from '../shared/ui';
import { JumpField } from './JumpField';

/** Fetched with the page; what is typed before it is there is found when it is. */
const JumpBox = part(() => import('./JumpBox').then((part) => part.JumpBox));

/** Where one jumps from. Ctrl+K. */
export function JumpPlace() {
  const [words, setWords] = useState('');
  const [typing, setTyping] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        field.current?.focus();
        field.current?.select();
      }
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  const early = (
    <Box sx={{ width: 'min(280px, 100%)' }}>
      <JumpField
        field={field}
        typing={false}
        input={{
          value: words,
          onChange: (event) => setWords(event.target.value),
          onFocus: () => setTyping(true),
          onBlur: () => setTyping(false),
        }}
      />
    </Box>
  );
  return (
    <Suspense fallback={early}>
      <JumpBox words={words} onWords={setWords} field={field} typing={typing} />
    </Suspense>
  );
}
