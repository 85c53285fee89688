import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type RefObject, useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { staffQuery } from '../../shared/api';
import { StaffMark } from '../../shared/ui';
import { begunName, completed } from './model/mention';

const MOST = 5;

interface Props {
  field: RefObject<HTMLTextAreaElement | null>;
  words: string;
  onWrite: (words: string) => void;
}

/** While an at sign and a few letters stand before the cursor: the colleagues they may mean. Tab takes the first. */
export function MentionPicker({ field, words, onWrite }: Props) {
  const staff = useQuery(staffQuery).data ?? [];
  const [at, setAt] = useState(0);
  useEffect(() => {
    const moved = () => setAt(field.current?.selectionStart ?? 0);
    document.addEventListener('selectionchange', moved);
    return () => document.removeEventListener('selectionchange', moved);
  }, [field]);
  const meant = (text: string, cursor: number) => {
    const begun = begunName(text, cursor)?.toLowerCase();
    return begun === undefined
      ? []
      : staff
          .filter(({ active, name }) => active && name.toLowerCase().startsWith(begun) && name.toLowerCase() !== begun)
          .slice(0, MOST);
  };
  const take = (text: string, cursor: number, name: string) => {
    const next = completed(text, cursor, name);
    flushSync(() => onWrite(next.words));
    field.current?.focus();
    field.current?.setSelectionRange(next.at, next.at);
  };
  useEffect(() => {
    const element = field.current;
    // What is on the paper at this very stroke counts, not what was last drawn: some type faster than that.
    const pressed = (event: KeyboardEvent) => {
      if (!element || event.key !== 'Tab' || event.shiftKey) return;
      const first = meant(element.value, element.selectionStart)[0];
      if (!first) return;
      event.preventDefault();
      take(element.value, element.selectionStart, first.name);
    };
    element?.addEventListener('keydown', pressed);
    return () => element?.removeEventListener('keydown', pressed);
  });
  const found = meant(words, at);
  if (found.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="Colleagues to mention"
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', typography: 'body2', pt: 0.5 }}
    >
      {found.map((one, i) => (
        <ButtonBase
          key={one.id}
          onClick={() => take(words, at, one.name)}
          sx={{ gap: 0.5, color: 'primary.main', fontWeight: 600 }}
        >
          <StaffMark mark={one.mark} />
          {one.name}
          {i === 0 && (
            <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
              (Tab)
            </Box>
          )}
        </ButtonBase>
      ))}
    </Box>
  );
}
