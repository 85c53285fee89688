import { Box, ButtonBase, Popover } from '@mui/material';
import { type KeyboardEvent, useDeferredValue, useId, useState } from 'react';
import { Field, focusing } from '../../shared/ui';
import { EMOJI } from './model/all';
import { type Emoji, findEmoji, GROUPS, withRecent } from './model/emoji';

const COLUMNS = 9;
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: COLUMNS, ArrowUp: -COLUMNS };

interface Props {
  anchor: HTMLElement;
  /** Whose recently used ones are kept by this browser. */
  me: number;
  onPick: (sign: string) => void;
  onClose: () => void;
}

function recentOf(place: string): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place) ?? '[]');
    return Array.isArray(kept) ? kept.filter((each) => typeof each === 'string') : [];
  } catch {
    return [];
  }
}

/** Emoji found by a word, or leafed through by group; those used lately first. */
export function EmojiPicker({ anchor, me, onPick, onClose }: Props) {
  const place = `fabulum.emoji.${me}`;
  const [recent] = useState(() => recentOf(place));
  const [words, setWords] = useState('');
  const [group, setGroup] = useState(GROUPS[0]?.group ?? '');
  const [at, setAt] = useState(0);
  const typed = useDeferredValue(words);
  const list = useId();
  const lately = recent.flatMap((sign) => EMOJI.filter((one) => one.sign === sign));
  const browsed = EMOJI.filter((one) => one.group === group);
  const shown: readonly Emoji[] = typed.trim() === '' ? [...lately, ...browsed] : findEmoji(EMOJI, typed);
  const pick = ({ sign }: Emoji) => {
    localStorage.setItem(place, JSON.stringify(withRecent(recent, sign)));
    onPick(sign);
  };
  const pressed = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    const here = shown[at];
    if (step !== undefined) {
      const next = Math.max(0, Math.min(shown.length - 1, at + step));
      setAt(next);
      document.getElementById(`${list}-${next}`)?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter' && here) pick(here);
    else return;
    event.preventDefault();
  };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
    >
      <Box role="dialog" aria-label="Emoji" sx={{ width: 'min(384px, 94vw)', p: 1.5, display: 'grid', gap: 1 }}>
        <Field
          label="Find an emoji"
          placeholder="anchor, thanks, rain"
          value={words}
          autoComplete="off"
          inputRef={focusing}
          onKeyDown={pressed}
          onChange={(event) => {
            setWords(event.target.value);
            setAt(0);
          }}
          slotProps={{
            htmlInput: {
              role: 'combobox',
              'aria-expanded': true,
              'aria-controls': list,
              'aria-activedescendant': shown.length > 0 ? `${list}-${at}` : undefined,
            },
          }}
        />
        {typed.trim() === '' && (
          <Box role="group" aria-label="Groups" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.25 }}>
            {GROUPS.map((one) => (
              <ButtonBase
                key={one.group}
                aria-pressed={one.group === group}
                onClick={() => {
                  setGroup(one.group);
                  setAt(0);
                }}
                sx={{
                  typography: 'body2',
                  color: one.group === group ? 'text.primary' : 'primary.main',
                  fontWeight: one.group === group ? 700 : 500,
                  borderBottom: 2,
                  borderColor: one.group === group ? 'primary.main' : 'transparent',
                }}
              >
                {one.words}
              </ButtonBase>
            ))}
          </Box>
        )}
        <Box
          id={list}
          role="listbox"
          aria-label="Emoji"
          sx={{ display: 'grid', gridTemplateColumns: `repeat(${COLUMNS}, 1fr)`, maxHeight: 232, overflowY: 'auto' }}
        >
          {shown.map((one, i) => (
            <Box
              key={`${one.sign} ${i}`}
              component="button"
              type="button"
              id={`${list}-${i}`}
              role="option"
              tabIndex={-1}
              aria-selected={i === at}
              aria-label={one.name}
              title={one.name}
              onClick={() => pick(one)}
              sx={{
                border: 0,
                p: 0,
                height: 38,
                bgcolor: i === at ? 'inks.pineWash' : 'transparent',
                typography: 'emoji',
                cursor: 'pointer',
                '&:hover': { bgcolor: 'inks.pineWash' },
              }}
            >
              {one.sign}
            </Box>
          ))}
        </Box>
        <Box role="status" sx={{ typography: 'caption', color: 'text.secondary', minHeight: 20 }}>
          {shown.length === 0 ? 'No emoji fits. Try another word.' : shown[at]?.name}
        </Box>
      </Box>
    </Popover>
  );
}
