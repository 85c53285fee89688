import { Autocomplete, Box, Checkbox, FormControlLabel, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { ask, type LineSetup, sitesQuery, teamsQuery } from '../../shared/api';
import { duration, localOf } from '../../shared/format';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Blank, useNow, whyOf } from '../../shared/ui';
import { WeekEditor } from '../../shared/week';
import { ClosedDays } from './ClosedDays';
import { LineEscalation } from './EscalationEditor';
import { LineSends } from './LineSends';
import { LinePreview } from './LinePreview';
import { LineWork } from './LineWork';
import { outcomeWords } from './outcome';

interface Props {
  /** Empty for a new line. */
  id: number | undefined;
  first: LineSetup;
}

/** What there is to set up, as one says it. */
const FIELDS: Partial<Record<keyof LineSetup, string>> = {
  name: 'the name',
  number: 'the number',
  zone: 'the time zone',
  siteId: 'the site',
  teamId: 'the team',
  inUse: 'whether it is in use',
  sending: 'what it sends',
  way: 'who gets new work',
  narrowed: 'who sees what',
  tellOfNobodys: 'who is told of what is nobody’s',
  promiseMinutes: 'the promise',
  week: 'the opening hours',
  closedDays: 'the closed days',
  holidays: 'the public holidays',
  openHolidays: 'the open holidays',
};
const ZONES = Intl.supportedValuesOf('timeZone');

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      <Box component="h3" sx={{ m: 0, mb: 1, typography: 'heading' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** All that is set up about a line. Nothing changes for anybody until it is saved; then it does at once, for everyone. */
export function LineForm({ id, first }: Props) {
  const navigate = useNavigate();
  const now = useNow();
  const sites = useQuery(sitesQuery).data ?? [];
  const teams = useQuery(teamsQuery).data ?? [];
  const form = useForm({
    first,
    names: FIELDS,
    send: (body) =>
      id === undefined
        ? ask('POST', '/api/setup/lines', { body })
        : ask('PUT', '/api/setup/lines/{id}', { path: { id }, body }),
    onSaved: (outcome) => {
      if (id === undefined) void navigate(`/setup/lines/${outcome.id}`);
    },
  });
  const { value: line, change, field: text } = form;
  const why = (field: keyof LineSetup) => [form.field(field).helperText ?? []].flat();
  const hours = Math.floor(line.promiseMinutes / 60);
  return (
    <Form
      form={form}
      label={id === undefined ? 'New line' : first.name}
      sx={{ display: 'grid', gap: 2, p: 2, maxWidth: 980, alignContent: 'start' }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
        <TextField
          label="Name"
          value={line.name}
          {...text('name')}
          onChange={(e) => change({ name: e.target.value })}
        />
        <TextField
          label={`Number, as written in ${line.region}`}
          value={line.number}
          {...text('number')}
          onChange={(e) => change({ number: e.target.value })}
        />
        <Autocomplete
          options={ZONES}
          value={line.zone}
          freeSolo
          onInputChange={(_, zone) => zone !== line.zone && change({ zone })}
          renderInput={(params) => <TextField {...params} label="Time zone" {...text('zone')} />}
        />
        <Box sx={{ typography: 'body2', alignSelf: 'end', pb: 0.5 }}>
          {'Belongs to '}
          <Blank
            name="Site"
            value={line.siteId}
            options={sites.map((site) => ({ value: site.id, words: site.name }))}
            onChange={(siteId) => change({ siteId })}
          />
          {', answered by '}
          <Blank
            name="Team"
            value={line.teamId}
            options={teams.map((team) => ({ value: team.id, words: team.name }))}
            onChange={(teamId) => change({ teamId })}
          />
        </Box>
      </Box>
      <FormControlLabel
        control={<Checkbox size="small" checked={line.inUse} onChange={(_, inUse) => change({ inUse })} />}
        label="In use: texts can be sent from it. Customers’ texts arrive either way."
      />
      <Part title="New work">
        <LineWork line={line} onChange={change} />
      </Part>
      <Part title="Texts from this line">
        <LineSends line={line} why={(name) => whyOf(form.problem, `sending.${name}`)} onChange={change} />
      </Part>
      <Part title="The promise">
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end', flexWrap: 'wrap', mb: 1 }}>
          <TextField
            label="Answer within (working minutes)"
            type="number"
            value={Number.isNaN(line.promiseMinutes) ? '' : line.promiseMinutes}
            {...text('promiseMinutes')}
            onChange={(e) => change({ promiseMinutes: Math.trunc(Number(e.target.value)) })}
            sx={{ width: 290 }}
          />
          {hours > 0 && (
            <Box className="figures" sx={{ color: 'text.secondary', pb: 0.5 }}>
              = {duration(line.promiseMinutes)}
            </Box>
          )}
        </Box>
        <LinePreview line={line} />
      </Part>
      <Part title="Opening hours">
        <WeekEditor week={line.week} problems={why('week')} onChange={(week) => change({ week })} />
      </Part>
      <Part title="Closed days">
        <ClosedDays line={line} today={localOf(now, first.zone).slice(0, 10)} onChange={change} />
        {[...why('closedDays'), ...why('holidays')].map((each) => (
          <Box key={each} role="alert" sx={{ color: 'error.main' }}>
            {each}
          </Box>
        ))}
      </Part>
      {id !== undefined && (
        <Part title="Alerts when an answer is late">
          <LineEscalation line={id} />
        </Part>
      )}
      <SaveBar form={form} save={id === undefined ? 'Add the line' : 'Save'} saved={outcomeWords} stays />
    </Form>
  );
}
