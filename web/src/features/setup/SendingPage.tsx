import {
  Box,
  Checkbox,
  FormControlLabel,
  MenuItem,
  Radio,
  RadioGroup,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
} from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, type SendSettings } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Answered, BlankText } from '../../shared/ui';
import { numberOf } from './model/costs';
import { LANGUAGES, minuteOfDay, timeOfDay, weighed, whatWords, whenWords } from './model/sending';
import { Part } from './Part';
import { IdentifyAlertPart } from './IdentifyAlertPart';
import { NumberCheckPart } from './NumberCheckPart';
import { SuggestionsPart } from './SuggestionsPart';
import { WrongNumbersPart } from './WrongNumbersPart';
import { sendSettingsQuery } from './queries';

const FIELDS = {
  business: 'the name of the business',
  contact: 'how customers reach us',
  languages: 'the languages',
  stopEverywhere: 'where STOP holds',
  sameTextMinutes: 'the time for the same text',
  nightFromMinute: 'the beginning of the night',
  nightUntilMinute: 'the end of the night',
  manyRecipients: 'how many are many',
  reasons: 'the reasons',
  serviceWords: 'the words below texts',
  newsWords: 'the words below news and offers',
};

/** What is asked before a text goes, and what Fabulum answers to STOP, START and HELP. */
export function SendingPage() {
  const settings = useQuery(sendSettingsQuery);
  return (
    <>
      <Answered query={settings}>{(first) => <SendingForm first={first} />}</Answered>
      <WrongNumbersPart />
      <SuggestionsPart />
      <NumberCheckPart />
      <IdentifyAlertPart />
    </>
  );
}

function SendingForm({ first }: { first: SendSettings }) {
  const form = useForm({
    first,
    names: FIELDS,
    send: (body: SendSettings) => ask('PUT', '/api/setup/sending', { body }),
  });
  const { value: now, change, field } = form;
  return (
    <Form form={form} label="Sending" sx={{ display: 'grid', gap: 3, p: 2, maxWidth: 860, alignContent: 'start' }}>
      <Part title="STOP, START and HELP">
        <Box sx={{ typography: 'body2' }}>
          A customer who texts STOP gets one confirmation and then nothing more. START brings the texts back. HELP is
          answered with the lines below.
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2, width: '100%' }}>
          <TextField
            label="Name of the business"
            value={now.business}
            {...field('business')}
            helperText={field('business').helperText ?? 'Empty: the name of the site'}
            onChange={(event) => change({ business: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <TextField
            label="How else to reach us, as a sentence"
            value={now.contact}
            {...field('contact')}
            helperText={field('contact').helperText ?? 'Empty: “you can also call us at” and the number of the line'}
            onChange={(event) => change({ contact: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
        </Box>
        <RadioGroup
          aria-label="STOP holds for"
          value={now.stopEverywhere ? 'all' : 'line'}
          onChange={(event) => change({ stopEverywhere: event.target.value === 'all' })}
        >
          <FormControlLabel value="all" control={<Radio size="small" />} label="STOP holds for the whole business" />
          <FormControlLabel
            value="line"
            control={<Radio size="small" />}
            label="STOP holds for the line it was sent to"
          />
        </RadioGroup>
        <Box role="group" aria-label="Keywords also in">
          <Box sx={{ typography: 'body2', color: 'text.secondary' }}>English keywords always count. Also in:</Box>
          {LANGUAGES.map(([language, name]) => (
            <FormControlLabel
              key={language}
              label={name}
              control={
                <Checkbox
                  size="small"
                  checked={now.languages.includes(language)}
                  onChange={(_, on) =>
                    change({
                      languages: on ? [...now.languages, language] : now.languages.filter((each) => each !== language),
                    })
                  }
                />
              }
            />
          ))}
        </Box>
      </Part>
      <Part title="Before a text goes">
        <Box sx={{ typography: 'body2' }}>
          Texts to customers who opted out are never sent; that cannot be changed here.
        </Box>
        <Table size="small" aria-label="Reasons">
          <TableHead>
            <TableRow>
              <TableCell>When</TableCell>
              <TableCell sx={{ width: 210 }}>Then</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {now.reasons.map((reason) => (
              <TableRow key={reason.code}>
                <TableCell id={`when-${reason.code}`}>{whenWords(reason)}</TableCell>
                <TableCell>
                  <TextField
                    select
                    variant="standard"
                    value={reason.severity}
                    onChange={(event) =>
                      change({
                        reasons: weighed(
                          now,
                          reason.code,
                          event.target.value as SendSettings['reasons'][0]['severity'],
                        ),
                      })
                    }
                    slotProps={{ select: { SelectDisplayProps: { 'aria-labelledby': `when-${reason.code}` } } }}
                    sx={{ width: '100%' }}
                  >
                    {reason.choices.map((choice) => (
                      <MenuItem key={choice} value={choice}>
                        {whatWords(choice)}
                      </MenuItem>
                    ))}
                  </TextField>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
          <TextField
            label="Same text within, minutes"
            type="number"
            value={now.sameTextMinutes}
            {...field('sameTextMinutes')}
            onChange={(event) => change({ sameTextMinutes: Number(event.target.value) })}
            sx={{ width: 190 }}
          />
          <TextField
            label="Night from"
            type="time"
            value={timeOfDay(now.nightFromMinute)}
            {...field('nightFromMinute')}
            onChange={(event) => change({ nightFromMinute: minuteOfDay(event.target.value, now.nightFromMinute) })}
          />
          <TextField
            label="Night until"
            type="time"
            value={timeOfDay(now.nightUntilMinute)}
            {...field('nightUntilMinute')}
            onChange={(event) => change({ nightUntilMinute: minuteOfDay(event.target.value, now.nightUntilMinute) })}
          />
          <TextField
            label="Many customers from"
            type="number"
            value={now.manyRecipients}
            {...field('manyRecipients')}
            onChange={(event) => change({ manyRecipients: Number(event.target.value) })}
            sx={{ width: 190 }}
          />
        </Box>
      </Part>
      <Part title="Added below texts">
        <Box sx={{ typography: 'body2' }}>
          These words are added below the text, counted in its parts and shown before it is sent. The signature of a
          line is set with the line.
        </Box>
        {(['serviceWords', 'newsWords'] as const).map((kind) => (
          <Box key={kind} sx={{ width: '100%' }}>
            <TextField
              fullWidth
              multiline
              label={kind === 'serviceWords' ? 'Below answers and service texts' : 'Below news and offers'}
              placeholder="nothing"
              value={now[kind].words}
              error={field(`${kind}.words` as typeof kind).error}
              helperText={field(`${kind}.words` as typeof kind).helperText}
              onChange={(event) => change({ [kind]: { ...now[kind], words: event.target.value } })}
              slotProps={{ htmlInput: { maxLength: 400 } }}
            />
            <Box sx={{ typography: 'body2', mt: 0.5 }}>
              {'To each number once in '}
              <BlankText
                name={`Days, ${kind === 'serviceWords' ? 'service texts' : 'news'}`}
                value={String(now[kind].days)}
                placeholder="30"
                onChange={(typed) => change({ [kind]: { ...now[kind], days: numberOf(typed) ?? now[kind].days } })}
              />
              {' days (0: every time).'}
            </Box>
          </Box>
        ))}
      </Part>
      <SaveBar form={form} save="Save" ready={form.changed} saved={() => 'Saved.'} />
    </Form>
  );
}
