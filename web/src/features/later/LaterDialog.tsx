import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
} from '@mui/material';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { ApiProblem, type PlannedText, type PlanText, type WhenClosed } from '../../shared/api';
import { instantOf, localOf, moment } from '../../shared/format';
import { ActButton, Field, focusing, ProblemNote, useMe, useNow, whyOf } from '../../shared/ui';
import { useTyped } from '../../shared/ui/useTyped';
import { clearTime, zoneName } from './model/clear';
import { type Repeat, repeatOf, ruleOf } from './model/repeat';
import { laterCheckQuery, laterTimeQuery, usePlan } from './queries';
import { RepeatSentence } from './RepeatSentence';

/** What stands on the paper. */
export interface OnPaper {
  words: string;
  template: number | undefined;
  attachments: number[];
  reference: string;
}

interface Props {
  conversation: number;
  zone: string;
  /** What is to go; when a planned text is changed, it is that one. */
  paper: OnPaper;
  plan?: PlannedText;
  onClose: () => void;
  onPlanned: () => void;
}

const CONFIRM = 'urn:fabulum:problem:needs-confirmation';

/** As many dates after the first one are told. */
const SHOWN_DATES = 3;

function dayOf(at: Date, zone: string): string {
  return localOf(at, zone).slice(0, 10);
}

/** "Then every day: tomorrow 14:30, Fri 12 Jun 14:30, …" */
function then(repeats: string, dates: string[], now: Date, zone: string): string {
  if (dates.length === 0) return `It repeats ${repeats}; no other date is left.`;
  const said = dates.map((date) => moment(new Date(date), now, zone)).join(', ');
  return `Then ${repeats}: ${said}${dates.length === SHOWN_DATES ? ', …' : '.'}`;
}

/** Plans a text for later, once or again and again, or changes one. */
export function LaterDialog({ conversation, zone, paper, plan, onClose, onPlanned }: Props) {
  const now = useNow();
  const me = useMe().staff.id;
  const [words, setWords] = useState(paper.words);
  const [typed, setTyped] = useState(plan?.typed ?? '');
  const [chosen, setChosen] = useState(plan && !plan.typed ? localOf(new Date(plan.dueAt), zone) : '');
  const [repeat, setRepeat] = useState<Repeat | undefined>(
    plan?.rule ? repeatOf(plan.rule, dayOf(new Date(plan.dueAt), zone)) : undefined,
  );
  const [whenClosed, setWhenClosed] = useState<WhenClosed>(plan?.whenClosed ?? 'SEND');
  const [unlessWritten, setUnlessWritten] = useState(plan?.unlessWritten ?? false);
  const [comesToMe, setComesToMe] = useState(plan?.comesToMe ?? false);

  const { settled: read, error } = useTyped(typed, (asked) => laterTimeQuery(conversation, asked));
  const isTyped = typed.trim() !== '';
  const at = isTyped ? (read?.at ? new Date(read.at) : undefined) : chosen === '' ? undefined : instantOf(chosen, zone);
  const first = dayOf(at ?? now, zone);
  const text: PlanText | undefined = at && {
    words,
    template: paper.template,
    attachments: paper.attachments,
    at: at.toISOString(),
    typed: isTyped ? typed.trim() : undefined,
    rule: repeat && ruleOf(repeat, first),
    whenClosed,
    unlessWritten,
    comesToMe,
  };
  const calm = useDeferredValue(text);
  const check = useQuery({ ...laterCheckQuery(conversation, calm), placeholderData: keepPreviousData });
  const preview = text && !check.isError ? check.data : undefined;
  const against = preview?.objections ?? [];
  const refused = against.some(({ severity }) => severity === 'REFUSE');
  const asks = against.filter(({ severity }) => severity === 'ASK');
  const act = usePlan(conversation, plan);
  const go = () =>
    text &&
    act.mutate(
      { reference: paper.reference, text: { ...text, confirmed: asks.map(({ code }) => code) } },
      { onSuccess: onPlanned },
    );
  const goes = preview?.dates[0] && new Date(preview.dates[0]);
  const label = plan
    ? 'Save the change'
    : goes
      ? `Send ${repeat ? 'from ' : ''}${moment(goes, now, zone)}`
      : 'Send later';
  const wrong = check.error instanceof ApiProblem ? check.error : undefined;
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="later-title"
      fullWidth
      maxWidth="sm"
      // What is said below grows and shrinks with each word: what is about to be pressed above does not move.
      slotProps={{ container: { sx: { alignItems: 'flex-start' } } }}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          go();
        }}
      >
        <DialogTitle id="later-title">{plan ? 'Change the planned text' : 'Send later'}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
          {plan && (
            <Field
              label="Text"
              multiline
              maxRows={6}
              value={words}
              slotProps={{ htmlInput: { sx: { typography: 'words' } } }}
              onChange={(event) => setWords(event.target.value)}
            />
          )}
          <Box sx={{ display: 'grid', gridTemplateColumns: { sm: '1fr 220px' }, gap: 2 }}>
            <Field
              label="When"
              placeholder="Thu 14:30, in 3 h, Friday at opening"
              value={typed}
              autoComplete="off"
              // The person who asked for the dialog wants to type the time.
              inputRef={plan ? undefined : focusing}
              error={read?.why !== undefined}
              helperText={
                (isTyped && (whyOf(error, 'words').helperText ?? read?.why)) ||
                read?.note ||
                'Also “the day before the appointment at noon”.'
              }
              onChange={(event) => setTyped(event.target.value)}
            />
            <Field
              type="datetime-local"
              label={`or choose it (${zoneName(now, zone)} time)`}
              value={read?.at ? localOf(new Date(read.at), zone) : chosen}
              onChange={(event) => {
                setTyped('');
                setChosen(event.target.value);
              }}
            />
          </Box>
          <RepeatSentence
            repeat={repeat}
            first={first}
            whenClosed={whenClosed}
            onRepeat={setRepeat}
            onWhenClosed={setWhenClosed}
          />
          <Box sx={{ display: 'grid' }}>
            <FormControlLabel
              control={<Checkbox checked={unlessWritten} onChange={(_, on) => setUnlessWritten(on)} />}
              label={
                repeat ? 'Skip it when they have written since the last one' : 'Only if they have not written by then'
              }
            />
            <FormControlLabel
              control={<Checkbox checked={comesToMe} onChange={(_, on) => setComesToMe(on)} />}
              label={
                plan && plan.staff !== me
                  ? 'If they answer it, the conversation goes to its writer'
                  : 'If they answer it, make the conversation mine'
              }
            />
          </Box>
          <Box role="status" sx={{ minHeight: 66, borderTop: 1, borderColor: 'divider', pt: 1 }}>
            {preview && goes && (
              <>
                <Box component="strong" className="figures">
                  {clearTime(goes, now, preview.zone, preview.theirZone)}
                </Box>
                {read?.open === false && !repeat && ', when the line is closed'}
                {preview.repeats && (
                  <Box className="figures">{then(preview.repeats, preview.dates.slice(1), now, zone)}</Box>
                )}
                {preview.words !== preview.of && (
                  <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
                    As it would read now:{' '}
                    <Box component="span" sx={{ typography: 'words' }}>
                      {preview.words}
                    </Box>
                  </Box>
                )}
                {against.map(({ code, severity, sentence }) => (
                  <Box
                    key={code}
                    sx={{ typography: 'body2', color: severity === 'REFUSE' ? 'error.main' : 'warning.main' }}
                  >
                    {severity === 'REFUSE' ? '× ' : '△ '}
                    {sentence}
                  </Box>
                ))}
              </>
            )}
            {text && wrong && <ProblemNote problem={wrong} />}
          </Box>
          {act.error && !(act.error instanceof ApiProblem && act.error.type === CONFIRM && asks.length > 0) && (
            <ProblemNote problem={act.error} />
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <ActButton
            type="submit"
            variant="contained"
            disabled={!preview || refused || act.isPending || check.isPlaceholderData}
          >
            {asks.length > 0 ? `${label} anyway` : label}
          </ActButton>
        </DialogActions>
      </form>
    </Dialog>
  );
}
