import { Autocomplete, Box, Checkbox, FormControlLabel, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { LineSetup } from '../../shared/api';
import { countryNamesQuery } from './queries';

type Sending = NonNullable<LineSetup['sending']>;

/** As a new line is. */
export const USUAL: Sending = { mostParts: 10, registered: true, reaches: [], signature: '', groupLimit: 8 };

interface Props {
  line: LineSetup;
  /** What the server says against a field. */
  why: (field: keyof Sending) => { error: boolean; helperText: string | undefined };
  onChange: (next: Partial<LineSetup>) => void;
}

/** What the line sends: how long texts may be, what stands below them, and where to. */
export function LineSends({ line, why, onChange }: Props) {
  const sending = line.sending ?? USUAL;
  const countries = useQuery(countryNamesQuery).data ?? [];
  const change = (next: Partial<Sending>) => onChange({ sending: { ...sending, ...next } });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <TextField
        label="Signature, below every text from this line"
        placeholder="nothing"
        value={sending.signature}
        {...why('signature')}
        onChange={(event) => change({ signature: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
        sx={{ maxWidth: 460 }}
      />
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <TextField
          label="Longest text, in parts"
          type="number"
          value={sending.mostParts}
          {...why('mostParts')}
          onChange={(event) => change({ mostParts: Math.trunc(Number(event.target.value)) })}
          sx={{ width: 190 }}
        />
        <TextField
          label="Largest group, in numbers"
          type="number"
          value={sending.groupLimit}
          {...why('groupLimit')}
          onChange={(event) => change({ groupLimit: Math.trunc(Number(event.target.value)) })}
          sx={{ width: 210 }}
        />
      </Box>
      <Autocomplete
        multiple
        options={countries}
        getOptionLabel={(country) => country.name}
        value={countries.filter((country) => sending.reaches.includes(country.code))}
        onChange={(_, chosen) => change({ reaches: chosen.map((country) => country.code) })}
        renderInput={(params) => (
          <TextField
            {...params}
            label="Sends to"
            placeholder={sending.reaches.length === 0 ? 'all countries' : ''}
            {...why('reaches')}
          />
        )}
        sx={{ maxWidth: 620 }}
      />
      <FormControlLabel
        control={
          <Checkbox size="small" checked={sending.registered} onChange={(_, registered) => change({ registered })} />
        }
        label="Registered with the phone networks. Until a line is registered, nothing is sent from it."
      />
    </Box>
  );
}
