import { Box, Checkbox, FormControlLabel } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type LineSetup, staffQuery, type Way } from '../../shared/api';
import { Blank } from '../../shared/ui';

interface Props {
  line: LineSetup;
  onChange: (next: Partial<LineSetup>) => void;
}

const WAYS: { value: Way; words: string }[] = [
  { value: 'NOBODY', words: 'is nobody’s until somebody takes it' },
  { value: 'IN_TURN', words: 'goes to one after the other' },
  { value: 'LEAST_WAITING', words: 'goes to whoever has least waiting' },
  { value: 'LAST_OWNER', words: 'goes to whoever had the customer last' },
];

/** How the line gives out what is new, and who sees what on it. */
export function LineWork({ line, onChange }: Props) {
  const staff = (useQuery(staffQuery).data ?? []).filter((one) => one.active);
  const way = line.way ?? 'NOBODY';
  const told = line.tellOfNobodys ?? [];
  return (
    <Box>
      <Box>
        {'What is new here '}
        <Blank name="New work" value={way} options={WAYS} onChange={(next) => onChange({ way: next })} />
        {way !== 'NOBODY' && ', of those who are in and below their own limit.'}
      </Box>
      {way !== 'NOBODY' && (
        <Box sx={{ mt: 0.5 }}>
          {'When nobody can get it, tell '}
          {told.map((id) => (
            <Box component="span" key={id} sx={{ whiteSpace: 'nowrap', mr: 1 }}>
              <strong>{staff.find((one) => one.id === id)?.name}</strong>
              <Box
                component="button"
                type="button"
                aria-label={`Do not tell ${staff.find((one) => one.id === id)?.name ?? ''}`}
                onClick={() => onChange({ tellOfNobodys: told.filter((each) => each !== id) })}
                sx={{ border: 0, bgcolor: 'transparent', color: 'text.secondary', cursor: 'pointer', font: 'inherit' }}
              >
                ×
              </Box>
            </Box>
          ))}
          <Blank
            name="Also tell"
            value={undefined as number | undefined}
            unsaid={told.length === 0 ? 'somebody…' : 'and…'}
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
