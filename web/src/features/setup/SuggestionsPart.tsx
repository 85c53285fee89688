import { Box, FormControlLabel, Switch } from '@mui/material';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { Part } from './Part';
import { useSetUpChange } from './useSetUpChange';

const settingQuery = queryOptions({
  queryKey: [...keys.setup, 'suggestions'] as const,
  queryFn: () => ask('GET', '/api/setup/suggestions'),
});

/** Whether templates are suggested for what customers ask. */
export function SuggestionsPart() {
  const setting = useQuery(settingQuery).data;
  const change = useSetUpChange();
  return (
    <Box sx={{ p: 2, maxWidth: 860 }}>
      <Part title="Suggested templates">
        <Box sx={{ typography: 'body2' }}>
          When a customer asks something, up to three templates that answered similar questions are shown above the
          writing place. Nothing is sent unless a person sends it. All of it is worked out on this machine from the
          answers your team has given; nothing goes to another service.
        </Box>
        {setting && (
          <FormControlLabel
            control={
              <Switch
                checked={setting.on}
                disabled={change.isPending}
                onChange={(_, on) => change.mutate(() => ask('PUT', '/api/setup/suggestions', { body: { on } }))}
              />
            }
            label="Suggest templates"
          />
        )}
        {change.error && <ProblemNote problem={change.error} />}
      </Part>
    </Box>
  );
}
