import { Box, Checkbox, FormControlLabel, Switch, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type PersonSetup, teamsQuery } from '../../shared/api';
import { Blank, whyOf } from '../../shared/ui';
import { PERMISSIONS, ROLES, suits, usual } from './model/people';

interface Props {
  setup: PersonSetup;
  problem: unknown;
  /** Told only what changes. */
  onChange: (change: Partial<PersonSetup>) => void;
}

function toggled<T>(all: T[] | undefined, one: T, on: boolean): T[] {
  return on ? [...(all ?? []), one] : (all ?? []).filter((each) => each !== one);
}

/** What someone is, may do, belongs to, and how much they are given. */
export function PersonFields({ setup, problem, onChange }: Props) {
  const teams = useQuery(teamsQuery).data ?? [];
  const role = ROLES.find((one) => one.value === setup.role);
  const why = ['permissions', 'teams', 'secondLook']
    .map((field) => whyOf(problem, field).helperText ?? '')
    .filter(Boolean);
  return (
    <>
      <Box>
        {'Is '}
        <Blank
          name="Role"
          value={setup.role}
          options={ROLES}
          onChange={(value) =>
            onChange({ role: value, permissions: usual(value), ...(value !== 'STAFF' && { secondLook: false }) })
          }
        />
        , who {role?.means}.
      </Box>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Box component="legend" sx={{ p: 0, color: 'text.secondary' }}>
          May
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
          {PERMISSIONS.map(({ value, words }) => (
            <FormControlLabel
              key={value}
              disabled={!suits(value, setup.role)}
              control={
                <Checkbox
                  size="small"
                  checked={setup.permissions?.includes(value) ?? false}
                  onChange={(_, on) => onChange({ permissions: toggled(setup.permissions, value, on) })}
                />
              }
              label={words}
            />
          ))}
        </Box>
      </Box>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Box component="legend" sx={{ p: 0, color: 'text.secondary' }}>
          Belongs to, and so sees the lines of
        </Box>
        {teams.map((team) => (
          <FormControlLabel
            key={team.id}
            control={
              <Checkbox
                size="small"
                checked={setup.teams?.includes(team.id) ?? false}
                onChange={(_, on) => onChange({ teams: toggled(setup.teams, team.id, on) })}
              />
            }
            label={team.name}
          />
        ))}
      </Box>
      <TextField
        label="Most open conversations at once"
        type="number"
        placeholder="no limit"
        value={setup.limit ?? ''}
        {...whyOf(problem, 'limit')}
        onChange={(event) =>
          onChange({ limit: event.target.value === '' ? undefined : Math.trunc(Number(event.target.value)) })
        }
        sx={{ width: 290 }}
      />
      <FormControlLabel
        disabled={setup.role !== 'STAFF'}
        control={<Switch checked={setup.secondLook} onChange={(_, on) => onChange({ secondLook: on })} />}
        label="Second look: a colleague looks at their texts before they are sent"
      />
      {why.map((each) => (
        <Box key={each} role="alert" sx={{ color: 'error.main' }}>
          {each}
        </Box>
      ))}
    </>
  );
}
