import { Autocomplete, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { linesQuery, teamsQuery, type TemplateForm } from '../../shared/api';

type Scope = Pick<TemplateForm, 'lines' | 'sites' | 'teams'>;

interface Place {
  kind: 'lines' | 'sites' | 'teams';
  id: number;
  words: string;
}

interface Props {
  scope: Scope;
  error: boolean;
  helperText: string | undefined;
  onChange: (scope: Scope) => void;
}

/** Where a template is offered: lines, sites and teams; everywhere while none is chosen. */
export function ScopeField({ scope, error, helperText, onChange }: Props) {
  const lines = useQuery(linesQuery).data ?? [];
  const teams = useQuery(teamsQuery).data ?? [];
  const sites = new Map(lines.map(({ siteId, site }) => [siteId, site]));
  const places: Place[] = [
    ...lines.map(({ id, name }) => ({ kind: 'lines' as const, id, words: name })),
    ...[...sites].map(([id, name]) => ({ kind: 'sites' as const, id, words: `${name} (all lines)` })),
    ...teams.map(({ id, name }) => ({ kind: 'teams' as const, id, words: `${name} (team)` })),
  ];
  const chosen = places.filter(({ kind, id }) => scope[kind]?.includes(id));
  const ids = (all: Place[], kind: Place['kind']) => all.filter((one) => one.kind === kind).map(({ id }) => id);
  return (
    <Autocomplete
      multiple
      size="small"
      options={places}
      value={chosen}
      getOptionKey={({ kind, id }) => `${kind} ${id}`}
      getOptionLabel={({ words }) => words}
      isOptionEqualToValue={(a, b) => a.kind === b.kind && a.id === b.id}
      onChange={(_, all) => onChange({ lines: ids(all, 'lines'), sites: ids(all, 'sites'), teams: ids(all, 'teams') })}
      renderInput={(params) => (
        <TextField
          {...params}
          label="Offered on"
          placeholder={chosen.length === 0 ? 'all lines' : undefined}
          error={error}
          helperText={helperText}
        />
      )}
    />
  );
}
