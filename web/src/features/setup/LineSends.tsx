import {
  Autocomplete,
  Box,
  Checkbox,
  FormControl,
  FormControlLabel,
  FormHelperText,
  FormLabel,
  TextField,
} from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { LineSetup } from '../../shared/api';
import { countryNamesQuery } from './queries';

type Sending = NonNullable<LineSetup['sending']>;

type FileKind = NonNullable<Sending['carries']>[number];

/** What a line can carry besides words. */
const KINDS: { kind: FileKind; words: string }[] = [
  { kind: 'PICTURE', words: 'pictures' },
  { kind: 'SOUND', words: 'sound' },
  { kind: 'VIDEO', words: 'video' },
  { kind: 'PDF', words: 'PDFs' },
  { kind: 'DOCUMENT', words: 'documents' },
  { kind: 'CONTACT', words: 'contact cards' },
];
const ALL = KINDS.map(({ kind }) => kind);

/** As a new line is. */
export const USUAL: Sending = {
  mostParts: 10,
  registered: true,
  reaches: [],
  signature: '',
  groupLimit: 8,
  carries: [...ALL],
  mostKilobytes: 5000,
};

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
  const carries = sending.carries ?? ALL;
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
      <FormControl component="fieldset" error={why('carries').error}>
        <FormLabel component="legend" sx={{ typography: 'caption' }}>
          Attachments it sends
        </FormLabel>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
          {KINDS.map(({ kind, words }) => (
            <FormControlLabel
              key={kind}
              label={words}
              control={
                <Checkbox
                  size="small"
                  checked={carries.includes(kind)}
                  onChange={(_, on) =>
                    change({ carries: ALL.filter((each) => (each === kind ? on : carries.includes(each))) })
                  }
                />
              }
            />
          ))}
        </Box>
        <FormHelperText>{why('carries').helperText}</FormHelperText>
      </FormControl>
      <TextField
        label="Largest attachment, in MB"
        type="number"
        value={(sending.mostKilobytes ?? 5000) / 1000}
        error={why('mostKilobytes').error}
        helperText={why('mostKilobytes').helperText ?? 'Pictures are made as small as that.'}
        onChange={(event) => change({ mostKilobytes: Math.round(1000 * Number(event.target.value)) })}
        slotProps={{ htmlInput: { min: 0.1, max: 25, step: 0.1 } }}
        sx={{ width: 260 }}
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
