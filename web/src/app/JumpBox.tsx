import { Autocomplete, Box, InputBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Conversation, jumpQuery, linesQuery } from '../shared/api';

const NONE: Conversation[] = [];

/** Goes to any conversation by a piece of a name, a number or a detail such as the boat. Ctrl+K. */
export function JumpBox() {
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // Never what was found for other words: whoever types and presses Enter at once would land elsewhere.
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
      options={words.trim() === '' ? NONE : (found.data ?? NONE)}
      filterOptions={(options) => options}
      getOptionLabel={(row) => row.customerName ?? row.number}
      getOptionKey={(row) => row.id}
      loading={found.isFetching}
      loadingText="Looking…"
      noOptionsText={words.trim() === '' ? 'A name, a number, a boat' : 'Nobody here is called so'}
      autoHighlight
      blurOnSelect
      clearOnBlur
      onChange={(_, row) => {
        if (row) void navigate(`/inbox/${row.id}`);
        setWords('');
      }}
      renderOption={({ key, ...props }, row) => (
        <Box component="li" key={key} {...props} sx={{ display: 'block !important' }}>
          <Box sx={{ fontWeight: 600 }}>{row.customerName ?? row.number}</Box>
          <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
            {row.number}, {lines.find((line) => line.id === row.lineId)?.name}
          </Box>
        </Box>
      )}
      renderInput={(params) => (
        <InputBase
          ref={params.slotProps.input.ref}
          inputRef={field}
          placeholder="Jump to…  Ctrl+K"
          inputProps={{ ...params.slotProps.htmlInput, 'aria-label': 'Jump to a customer or number' }}
          sx={{
            width: '100%',
            px: 1,
            py: 0.25,
            border: 1,
            borderColor: 'divider',
            borderRadius: 1,
            bgcolor: 'background.paper',
            fontSize: '0.875rem',
          }}
        />
      )}
    />
  );
}
