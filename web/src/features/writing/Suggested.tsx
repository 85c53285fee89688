import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type RefObject, useEffect } from 'react';
import type { OfferedTemplate } from '../../shared/api';
import { suggestionsQuery } from './queries';

interface Props {
  /** The conversation, and the newest line of its script: what is asked has changed with it. */
  id: number;
  version: number;
  field: RefObject<HTMLTextAreaElement | null>;
  onInsert: (template: OfferedTemplate) => void;
}

/** At most three templates that answered similar questions; one key each puts one in. Nothing stands here when nothing fits. */
export function Suggested({ id, version, field, onInsert }: Props) {
  const shown = useQuery(suggestionsQuery(id, version)).data ?? [];
  useEffect(() => {
    const element = field.current;
    const pressed = (event: KeyboardEvent) => {
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      const one = shown[Number(event.code.replace(/^(Digit|Numpad)/, '')) - 1];
      if (!one) return;
      event.preventDefault();
      onInsert(one.template);
    };
    element?.addEventListener('keydown', pressed);
    return () => element?.removeEventListener('keydown', pressed);
  });
  if (shown.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="Suggested templates"
      sx={{
        display: 'grid',
        gap: 1,
        pt: 0.75,
        gridTemplateColumns: { xs: '1fr', sm: `repeat(${shown.length}, minmax(0, 1fr))` },
      }}
    >
      {shown.map(({ template, why }, i) => (
        <ButtonBase
          key={template.id}
          aria-label={`Insert ${template.title}, ${why}`}
          onClick={() => onInsert(template)}
          sx={{
            display: 'block',
            textAlign: 'left',
            px: 1,
            py: 0.5,
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            bgcolor: 'background.paper',
            '&:hover': { bgcolor: 'inks.pineWash' },
          }}
        >
          <Box sx={{ display: 'flex', gap: 1, justifyContent: 'space-between', typography: 'caption' }}>
            <Box sx={{ fontWeight: 650, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
              {template.title}
            </Box>
            <Box sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>Alt+{i + 1}</Box>
          </Box>
          <Box sx={{ typography: 'excerpt', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
            {template.words}
          </Box>
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>{why}</Box>
        </ButtonBase>
      ))}
    </Box>
  );
}
