import { Box, Button, Checkbox, FormControlLabel } from '@mui/material';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type NumberCheckSetting } from '../../shared/api';
import { Field, ProblemNote } from '../../shared/ui';
import { Part } from './Part';
import { useSetUpChange } from './useSetUpChange';

const settingQuery = queryOptions({
  queryKey: [...keys.setup, 'number-check'] as const,
  queryFn: () => ask('GET', '/api/setup/number-check'),
});

/** Whether numbers nobody knows are checked by an outside service, and what a check costs. */
export function NumberCheckPart() {
  const setting = useQuery(settingQuery).data;
  return (
    <Box sx={{ p: 2, maxWidth: 860 }}>
      <Part title="Number check">
        <Box sx={{ typography: 'body2' }}>
          An outside service says whether a number can receive texts, who carries it, and sometimes the name it is
          registered under. Each number is asked about once, and again when a text to it fails.
        </Box>
        {setting &&
          (setting.isThere ? (
            <SettingForm key={JSON.stringify(setting)} known={setting} />
          ) : (
            <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
              No such service is connected; whoever runs Fabulum connects it.
            </Box>
          ))}
      </Part>
    </Box>
  );
}

function SettingForm({ known }: { known: NumberCheckSetting }) {
  const change = useSetUpChange();
  const [automatic, setAutomatic] = useState(known.setting.automatic);
  const [price, setPrice] = useState(String(known.setting.price));
  const [currency, setCurrency] = useState(known.setting.currency);
  return (
    <Box
      component="form"
      noValidate
      aria-label="Number check"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(() =>
          ask('PUT', '/api/setup/number-check', {
            body: { automatic, price: Number(price), currency: currency.trim().toUpperCase() },
          }),
        );
      }}
      sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}
    >
      <FormControlLabel
        control={<Checkbox size="small" checked={automatic} onChange={(_, on) => setAutomatic(on)} />}
        label="Check numbers nobody knows as soon as they text us"
      />
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Field label="Price of a check" value={price} onChange={({ target }) => setPrice(target.value)} />
        <Field label="Currency" value={currency} onChange={({ target }) => setCurrency(target.value)} />
      </Box>
      <Button type="submit" variant="contained" disabled={change.isPending}>
        Save
      </Button>
      {change.error && <ProblemNote problem={change.error} />}
    </Box>
  );
}
