import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type RefObject, useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { staffQuery } from '../../shared/api';
import { StaffMark } from '../../shared/ui';
import { begunName, completed } from './model/mention';

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
  const begun = begunName(words, at);
  const found =
    begun === undefined
      ? []
      : staff
          .filter((one) => one.active && one.name.toLowerCase().startsWith(begun.toLowerCase()) && one.name !== begun)
          .slice(0, 5);
  const take = (name: string) => {
    const next = completed(words, at, name);
    flushSync(() => onWrite(next.words));
    field.current?.focus();
    field.current?.setSelectionRange(next.at, next.at);
  };
  useEffect(() => {
    const element = field.current;
    const first = found[0];
    if (!element || !first) return undefined;
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== 'Tab' || event.shiftKey) return;
      event.preventDefault();
      take(first.name);
    };
    element.addEventListener('keydown', pressed);
    return () => element.removeEventListener('keydown', pressed);
  });
  if (found.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="Colleagues this may name"
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', typography: 'body2', pt: 0.5 }}
    >
      {found.map((one, i) => (
        <ButtonBase
          key={one.id}
          onClick={() => take(one.name)}
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
