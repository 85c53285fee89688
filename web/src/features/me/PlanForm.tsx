import { Autocomplete, Box, Button, Checkbox, FormControlLabel, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, type PlannedAway, type Plan, staffQuery } from '../../shared/api';
import { localOf } from '../../shared/format';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Blank, useNow } from '../../shared/ui';
import { WeekEditor } from '../../shared/week';

interface Props {
  /** Whose plan it is. */
  staff: number;
  /** Whether it is their own. */
  mine: boolean;
  first: Plan;
}

const ZONES = Intl.supportedValuesOf('timeZone');
const FIELDS: Partial<Record<keyof Plan, string>> = {
  week: 'the usual week',
  zone: 'the zone',
  coverId: 'who covers',
  absences: 'the days away',
};
const WORKING_WEEK = [1, 2, 3, 4, 5].map((day) => ({ day, from: 8 * 60, to: 17 * 60 }));
const heading = { m: 0, mb: 0.5, typography: 'heading' } as const;

/** Nobody has said a zone yet: the browser's own is the best guess. */
function inOwnZone(plan: Plan): Plan {
  const untouched = plan.zone === 'UTC' && plan.week.length === 0 && plan.absences.length === 0;
  return untouched ? { ...plan, zone: Intl.DateTimeFormat().resolvedOptions().timeZone } : plan;
}

/** When someone is usually in, the days they will be away, and who covers for them. */
export function PlanForm({ staff, mine, first }: Props) {
  const now = useNow();
  const colleagues = (useQuery(staffQuery).data ?? []).filter((one) => one.active && one.id !== staff);
  const form = useForm({
    first: inOwnZone(first),
    names: FIELDS,
    send: (body) =>
      mine
        ? ask('PUT', '/api/me/plan', { body })
        : ask('PUT', '/api/setup/people/{id}/plan', { path: { id: staff }, body }),
  });
  const { value: plan, change } = form;
  const covers = (none: string) => [
    { value: undefined as number | undefined, words: none },
    ...colleagues.map((one) => ({ value: one.id, words: one.name })),
  ];
  const today = localOf(now, plan.zone).slice(0, 10);
  const setAway = (at: number, next: Partial<PlannedAway>) =>
    change({ absences: plan.absences.map((each, i) => (i === at ? { ...each, ...next } : each)) });
  const why = form.field('absences').helperText;
  const coverWhy = form.field('coverId').helperText;
  return (
    <Form
      form={form}
      label={mine ? 'Availability' : 'Their availability'}
      sx={{ display: 'grid', gap: 2.5, maxWidth: 860 }}
    >
      <Box>
        <Box component="h3" sx={heading}>
          Usual hours
        </Box>
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={plan.week.length === 0}
              onChange={(_, always) => change({ week: always ? [] : WORKING_WEEK })}
            />
          }
          label="Always in"
        />
        {plan.week.length > 0 && (
          <WeekEditor
            week={plan.week}
            problems={[form.field('week').helperText ?? []].flat()}
            onChange={(week) => change({ week })}
          />
        )}
        <Autocomplete
          options={ZONES}
          value={plan.zone}
          disableClearable
          onChange={(_, zone) => change({ zone })}
          sx={{ width: 280, mt: 1 }}
          renderInput={(params) => <TextField {...params} label="Time zone" {...form.field('zone')} />}
        />
      </Box>
      <Box>
        <Box component="h3" sx={heading}>
          Who covers
        </Box>
        {mine ? 'While I am away, my work goes to ' : 'While they are away, their work goes to '}
        <Blank
          name="Cover"
          value={plan.coverId}
          options={covers('nobody')}
          onChange={(coverId) => change({ coverId })}
        />
        {coverWhy && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {coverWhy}
          </Box>
        )}
      </Box>
      <Box>
        <Box component="h3" sx={heading}>
          Days away
        </Box>
        {plan.absences.length === 0 && <Box sx={{ color: 'text.secondary' }}>No days away planned.</Box>}
        {plan.absences.map((away, i) => (
          // Their order is what tells them apart while they are edited.
          <Box key={i} sx={{ display: 'flex', gap: 1.5, alignItems: 'end', flexWrap: 'wrap', py: 0.5 }}>
            <TextField
              type="date"
              label="From"
              value={away.first}
              onChange={(e) => setAway(i, { first: e.target.value })}
            />
            <TextField
              type="date"
              label="Last day"
              value={away.last}
              onChange={(e) => setAway(i, { last: e.target.value })}
            />
            <Box sx={{ pb: 0.5 }}>
              {'covered by '}
              <Blank
                name={`Cover for absence ${i + 1}`}
                value={away.coverId}
                options={covers('the usual cover')}
                onChange={(coverId) => setAway(i, { coverId })}
              />
            </Box>
            <Button onClick={() => change({ absences: plan.absences.filter((_, j) => j !== i) })}>Remove</Button>
          </Box>
        ))}
        {why && (
          <Box role="alert" sx={{ color: 'error.main' }}>
            {why}
          </Box>
        )}
        <Button sx={{ px: 0 }} onClick={() => change({ absences: [...plan.absences, { first: today, last: today }] })}>
          Add days
        </Button>
      </Box>
      <SaveBar form={form} save="Save" ready={form.changed || plan.zone !== first.zone} saved={() => 'Saved.'} />
    </Form>
  );
}
