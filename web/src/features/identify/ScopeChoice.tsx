import { FormControlLabel, Radio, RadioGroup } from '@mui/material';
import type { Answer } from './queries';

type Scope = Extract<Answer, { as: 'holder' }>['scope'];

const SCOPES: [Scope, string][] = [
  ['TEXT', 'the last text only'],
  ['CONVERSATION', 'this conversation from now on'],
  ['ALWAYS', 'all texts from this number'],
];

/** Of which texts it is said who of several holders wrote them. */
export function ScopeChoice({ scope, onChange }: { scope: Scope; onChange: (scope: Scope) => void }) {
  return (
    <RadioGroup
      row
      aria-label="This is about"
      value={scope}
      onChange={(event) => onChange(event.target.value as Scope)}
    >
      {SCOPES.map(([value, label]) => (
        <FormControlLabel key={value} value={value} label={label} control={<Radio size="small" sx={{ py: 0.25 }} />} />
      ))}
    </RadioGroup>
  );
}
