import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { staffQuery } from '../../shared/api';
import { StaffMark } from '../../shared/ui';
import { begunName, completed } from './model/mention';
import { useCursor } from './useCursor';
import { type HeldTab, useTab } from './useTab';

const MOST = 5;

interface Props {
  field: RefObject<HTMLTextAreaElement | null>;
  tab: HeldTab;
  words: string;
  onWrite: (words: string) => void;
}

/** While an at sign and a few letters stand before the cursor: the colleagues they may mean. Tab takes the first. */
export function MentionPicker({ field, tab, words, onWrite }: Props) {
  const { data: staff } = useQuery(staffQuery);
  const at = useCursor(field);
  const meant = (text: string, cursor: number) => {
    const begun = begunName(text, cursor)?.toLowerCase();
    return begun === undefined || !staff
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
  useTab(field, tab, staff !== undefined, (text, cursor) => {
    const first = meant(text, cursor)[0];
    if (first) take(text, cursor, first.name);
    return first !== undefined;
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
