import { Box, Checkbox, FormControlLabel } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type LineSetup, staffQuery, type Way } from '../../shared/api';
import { Blank } from '../../shared/ui';

interface Props {
  line: LineSetup;
  onChange: (next: Partial<LineSetup>) => void;
}

const WAYS: { value: Way; words: string }[] = [
  { value: 'NOBODY', words: 'belongs to nobody until a colleague takes it' },
  { value: 'IN_TURN', words: 'goes to each colleague in turn' },
  { value: 'LEAST_WAITING', words: 'goes to the colleague with the least waiting' },
  { value: 'LAST_OWNER', words: 'goes to the colleague who last had the customer' },
];

/** How the line gives out what is new, and who sees what on it. */
export function LineWork({ line, onChange }: Props) {
  const staff = (useQuery(staffQuery).data ?? []).filter((one) => one.active);
  const way = line.way ?? 'NOBODY';
  const told = line.tellOfNobodys ?? [];
  return (
    <Box>
      <Box>
        {'New work here '}
        <Blank name="New work" value={way} options={WAYS} onChange={(next) => onChange({ way: next })} />
        {way !== 'NOBODY' && ', among those who are in and below their limit.'}
      </Box>
      {way !== 'NOBODY' && (
        <Box sx={{ mt: 0.5 }}>
          {'If nobody is free, alert '}
          {told.map((id) => (
            <Box component="span" key={id} sx={{ whiteSpace: 'nowrap', mr: 1 }}>
              <strong>{staff.find((one) => one.id === id)?.name}</strong>
              <Box
                component="button"
                type="button"
                aria-label={`Stop alerting ${staff.find((one) => one.id === id)?.name ?? ''}`}
                onClick={() => onChange({ tellOfNobodys: told.filter((each) => each !== id) })}
                sx={{ border: 0, bgcolor: 'transparent', color: 'text.secondary', cursor: 'pointer', font: 'inherit' }}
              >
                ×
              </Box>
            </Box>
          ))}
          <Blank
            name="Also alert"
            value={undefined as number | undefined}
            unsaid={told.length === 0 ? 'someone…' : 'and…'}
            options={staff.filter((one) => !told.includes(one.id)).map((one) => ({ value: one.id, words: one.name }))}
            onChange={(id) => id !== undefined && onChange({ tellOfNobodys: [...told, id] })}
          />
        </Box>
      )}
      <FormControlLabel
        sx={{ mt: 0.5 }}
        control={<Checkbox size="small" checked={line.narrowed} onChange={(_, narrowed) => onChange({ narrowed })} />}
        label="Staff see only their own conversations and those nobody owns. Leads see all."
      />
    </Box>
  );
}
