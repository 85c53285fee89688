import { Autocomplete, Box, InputBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Conversation, linesQuery } from '../shared/api';
import { jumpQuery } from './queries';
import { EVERYTHING, writeSentence } from '../shared/sentence';

/** A conversation to go to, or all whose texts say the words. */
type Choice = Conversation | { saying: string };

const NONE: Choice[] = [];

const isWords = (choice: Choice): choice is { saying: string } => 'saying' in choice;
const nameOf = (choice: Choice) =>
  isWords(choice) ? `Texts that say “${choice.saying}”` : (choice.customerName ?? choice.number);

/** Goes to any conversation by a piece of a name, a number or a detail such as the boat. Ctrl+K. */
export function JumpBox() {
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // Never what was found for other words: the person who types and presses Enter at once would land elsewhere.
  const found = useQuery(jumpQuery(words));
  const lines = useQuery(linesQuery).data ?? [];
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
  return (
    <Autocomplete
      sx={{ width: 'min(280px, 100%)' }}
      value={null}
      inputValue={words}
      onInputChange={(_, next) => setWords(next)}
      options={words.trim() === '' ? NONE : found.data ? [...found.data, { saying: words.trim() }] : NONE}
      filterOptions={(options) => options}
      getOptionLabel={nameOf}
      getOptionKey={(choice) => (isWords(choice) ? 'words' : choice.id)}
      loading={found.isFetching}
      loadingText="Looking…"
      noOptionsText={words.trim() === '' ? 'A name, a number, a boat' : 'Nothing found'}
      autoHighlight
      blurOnSelect
      clearOnBlur
      onChange={(_, choice) => {
        if (choice && isWords(choice)) {
          const show = writeSentence({ ...EVERYTHING, saying: choice.saying });
          void navigate({ pathname: '/inbox', search: new URLSearchParams({ show }).toString() });
        } else if (choice) void navigate(`/inbox/${choice.id}`);
        setWords('');
      }}
      renderOption={({ key, ...props }, choice) => (
        <Box component="li" key={key} {...props} sx={{ display: 'block !important' }}>
          <Box sx={{ fontWeight: isWords(choice) ? 400 : 600 }}>{nameOf(choice)}</Box>
          {!isWords(choice) && (
            <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
              {choice.number}, {lines.find((line) => line.id === choice.lineId)?.name}
            </Box>
          )}
        </Box>
      )}
      renderInput={(params) => (
        <InputBase
          ref={params.slotProps.input.ref}
          inputRef={field}
          placeholder="Jump to…  Ctrl+K"
          inputProps={{ ...params.slotProps.htmlInput, 'aria-label': 'Jump to a customer, a number or words' }}
          sx={{
            width: '100%',
            px: 1,
            py: 0.25,
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            bgcolor: 'background.paper',
            typography: 'body2',
          }}
        />
      )}
    />
  );
}
