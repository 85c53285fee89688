import { Autocomplete, Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type RefObject, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Conversation, linesQuery } from '../shared/api';
import { JumpField } from './JumpField';
import { jumpQuery } from './queries';
import { EVERYTHING, writeSentence } from '../shared/sentence';
import { useOpenConversation } from '../shared/ui';

/** A conversation to go to, or all whose texts say the words. */
type Choice = Conversation | { saying: string };

const NONE: Choice[] = [];

const isWords = (choice: Choice): choice is { saying: string } => 'saying' in choice;
const nameOf = (choice: Choice) =>
  isWords(choice) ? `Texts that say “${choice.saying}”` : (choice.customerName ?? choice.number);

interface Props {
  words: string;
  onWords: (words: string) => void;
  field: RefObject<HTMLInputElement | null>;
  /** The person has begun to type before this was there. */
  typing: boolean;
}

/** Goes to any conversation by a piece of a name, a number or a detail such as the boat. */
export function JumpBox({ words, onWords, field, typing }: Props) {
  const navigate = useNavigate();
  const openConversation = useOpenConversation();
  const [open, setOpen] = useState(typing && words !== '');
  // Never what was found for other words: the person who types and presses Enter at once would land elsewhere.
  const found = useQuery(jumpQuery(words));
  const lines = useQuery(linesQuery).data ?? [];
  return (
    <Autocomplete
      sx={{ width: 'min(280px, 100%)' }}
      value={null}
      open={open}
      onOpen={() => setOpen(true)}
      onClose={() => setOpen(false)}
      inputValue={words}
      onInputChange={(_, next, why) => {
        // That is what it does when it comes: what was typed before would be gone.
        if (why !== 'reset') onWords(next);
      }}
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
        } else if (choice) openConversation(choice.id);
        onWords('');
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
        <JumpField ref={params.slotProps.input.ref} input={params.slotProps.htmlInput} field={field} typing={typing} />
      )}
    />
  );
}
