import { Autocomplete, Box, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { FoundNumber } from '../../shared/api';
import { focused } from './focused';
import { foundQuery } from './queries';

interface Props {
  onChoose: (customer: number, name: string) => void;
  onClose: () => void;
}

function label({ customerName, address, detail }: FoundNumber): string {
  return [customerName, address, detail].filter(Boolean).join(' · ');
}

/** Any other customer, found by part of their name, number or details. */
export function FindCustomer({ onChoose, onClose }: Props) {
  const [words, setWords] = useState('');
  const found = useQuery(foundQuery(words)).data ?? [];
  const customers = found.filter((each) => each.customerId !== undefined);
  return (
    <Box
      sx={{ py: 0.5, maxWidth: 440 }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      <Autocomplete<FoundNumber>
        options={customers}
        filterOptions={(all) => all}
        getOptionLabel={label}
        getOptionKey={(each) => `${each.customerId ?? 0} ${each.numberId}`}
        inputValue={words}
        onInputChange={(_, typed) => setWords(typed)}
        onChange={(_, chosen) => {
          if (chosen?.customerId !== undefined) onChoose(chosen.customerId, chosen.customerName ?? '');
        }}
        noOptionsText={words.trim().length < 2 ? 'Type a name, number or detail.' : 'No customer found.'}
        renderInput={(field) => <TextField {...field} label="Customer" inputRef={focused} />}
      />
    </Box>
  );
}
