import { Box, Button, TextField } from '@mui/material';
import { useState } from 'react';
import { whyOf } from '../../shared/ui';
import { focused } from './focused';

interface Props {
  /** As the writer gave it; empty for none. */
  guessed: string;
  problem: unknown;
  onMake: (name: string) => void;
  onClose: () => void;
}

/** A new customer: the name, and nothing else. */
export function NewCustomer({ guessed, problem, onMake, onClose }: Props) {
  const [name, setName] = useState(guessed);
  return (
    <Box
      component="form"
      aria-label="New customer"
      onSubmit={(event) => {
        event.preventDefault();
        onMake(name.trim());
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}
    >
      <TextField
        label="Name"
        value={name}
        inputRef={focused}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 160 } }}
        {...whyOf(problem, 'name')}
      />
      <Button type="submit" variant="contained" disabled={name.trim() === ''}>
        Add customer
      </Button>
      <Button onClick={onClose}>Cancel</Button>
    </Box>
  );
}
