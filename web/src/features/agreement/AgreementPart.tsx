import { Box, Button, Checkbox, FormControlLabel, Radio, RadioGroup, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Agreement, Conversation, Said, TextKind } from '../../shared/api';
import { ActButton, Answered, Moment, ProblemNote, useRefusal, whyOf } from '../../shared/ui';
import { agreementWords, changeGround, changeWords, groundWords, numberWords } from './model/agreement';
import { agreementQuery, useMarkNumber, useNoteAgreement } from './queries';

interface Props {
  conversation: Conversation;
  zone: string;
}

function Kind({ name, said, zone }: { name: string; said: Said; zone: string }) {
  const ground = groundWords(said);
  return (
    <Box sx={{ py: 0.25 }}>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {name}:{' '}
      </Box>
      {agreementWords(said)}
      {ground !== '' && `, ${ground}`}
      {said.since && (
        <>
          , <Moment at={said.since} zone={zone} />
        </>
      )}
      {said.until && (
        <>
          , until <Moment at={said.until} zone={zone} />
        </>
      )}
    </Box>
  );
}

/** What a customer allows us to text, what was noted of it and by whom; and where one notes what they say. */
export function AgreementPart({ conversation, zone }: Props) {
  const query = useQuery(agreementQuery(conversation));
  const [noting, setNoting] = useState(false);
  return (
    <Box component="section" aria-label="Agreement to texts" sx={{ mt: 2 }}>
      <Box component="h4" sx={{ m: 0, mb: 0.5, typography: 'heading' }}>
        Agreement to texts
      </Box>
      <Answered query={query}>
        {(agreement) => (
          <Box sx={{ typography: 'body2' }}>
            <NumberLine agreement={agreement} id={conversation.id} />
            <Kind name="Answers and service texts" said={agreement.service} zone={zone} />
            <Kind name="News and offers" said={agreement.news} zone={zone} />
            {agreement.service.answer === 'OPTED_OUT' && agreement.service.ground === 'KEYWORD' && (
              <Box sx={{ py: 0.5 }}>
                They stopped our texts by a text of theirs. Only START from their phone ends that.
              </Box>
            )}
            {agreement.history.length > 0 && (
              <Box component="ul" aria-label="What was noted" sx={{ pl: 2.5, my: 0.75 }}>
                {agreement.history.map((change) => (
                  <li key={change.id}>
                    <Moment at={change.notedAt} zone={zone} />: {changeWords(change)}, {changeGround(change)}
                    {change.words && ` (“${change.words}”)`}
                    {change.staff && `, noted by ${change.staff}`}
                  </li>
                ))}
              </Box>
            )}
          </Box>
        )}
      </Answered>
      {noting ? (
        <NoteForm conversation={conversation} />
      ) : (
        <Button onClick={() => setNoting(true)} sx={{ p: 0 }}>
          Note what they said…
        </Button>
      )}
    </Box>
  );
}

function NumberLine({ agreement, id }: { agreement: Agreement; id: number }) {
  const mark = useMarkNumber(id);
  const refusal = useRefusal('WORK');
  const words = numberWords(agreement);
  return (
    <Box sx={{ py: 0.25 }}>
      {words !== '' && (
        <>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            Number:{' '}
          </Box>
          <strong>{words}</strong>{' '}
        </>
      )}
      <ActButton refusal={refusal} disabled={mark.isPending} onClick={() => mark.mutate(words === '')} sx={{ p: 0 }}>
        {words === '' ? 'Mark as wrong number' : 'The number is right'}
      </ActButton>
      {mark.error && <ProblemNote problem={mark.error} />}
    </Box>
  );
}

const KINDS: [TextKind, string][] = [
  ['SERVICE', 'answers and service texts'],
  ['NEWS', 'news and offers'],
];

function NoteForm({ conversation }: { conversation: Conversation }) {
  const note = useNoteAgreement(conversation.id);
  const refusal = useRefusal('WORK');
  const [given, setGiven] = useState(true);
  const [kinds, setKinds] = useState<TextKind[]>(['SERVICE']);
  const [words, setWords] = useState('');
  const [lastDay, setLastDay] = useState('');
  return (
    <Box
      component="form"
      aria-label="Note what they said"
      onSubmit={(event) => {
        event.preventDefault();
        note.mutate(
          { given, kinds, words: words.trim() || undefined, lastDay: (given && lastDay) || undefined },
          {
            onSuccess: () => {
              setWords('');
              setLastDay('');
            },
          },
        );
      }}
      sx={{ display: 'grid', gap: 0.5, mt: 1 }}
    >
      <RadioGroup
        aria-label="What they said"
        value={given ? 'yes' : 'no'}
        onChange={(event) => setGiven(event.target.value === 'yes')}
      >
        <FormControlLabel value="yes" control={<Radio size="small" sx={{ py: 0.25 }} />} label="They agree to" />
        <FormControlLabel value="no" control={<Radio size="small" sx={{ py: 0.25 }} />} label="They want no more" />
      </RadioGroup>
      <Box>
        {KINDS.map(([kind, label]) => (
          <FormControlLabel
            key={kind}
            label={label}
            control={
              <Checkbox
                size="small"
                checked={kinds.includes(kind)}
                onChange={(_, on) => setKinds(on ? [...kinds, kind] : kinds.filter((each) => each !== kind))}
              />
            }
          />
        ))}
      </Box>
      <TextField
        label="How they said it, if you like"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 400 } }}
      />
      {given && (
        <TextField
          label="Until, if it ends"
          type="date"
          value={lastDay}
          {...whyOf(note.error, 'lastDay')}
          onChange={(event) => setLastDay(event.target.value)}
        />
      )}
      {note.error && <ProblemNote problem={note.error} />}
      <Box>
        <ActButton type="submit" variant="outlined" refusal={refusal} disabled={note.isPending || kinds.length === 0}>
          Note it
        </ActButton>
      </Box>
    </Box>
  );
}
