import { Box, Button } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  ask,
  type CustomerNumber,
  type CustomerPageData,
  customerTermsQuery,
  keys,
  linesQuery,
} from '../../shared/api';
import { ActButton, Blank, BlankText, Field, Moment, NumberCheckLine, ProblemNote, useRefusal } from '../../shared/ui';
import { Section } from './Fact';
import { useCustomerChange } from './queries';

/** Why a number cannot be texted; nothing for one that can. */
const STATES: Record<CustomerNumber['state'], string> = {
  GOOD: '',
  MARKED_WRONG: 'Marked as wrong: it is someone else’s. Nothing is sent to it.',
  CANNOT_RECEIVE: 'It cannot receive texts.',
  NO_SUCH_NUMBER: 'There is no such number.',
};

const KINDS = ['mobile', 'home', 'work', 'other'].map((words) => ({ value: words, words }));

interface Props {
  page: CustomerPageData;
  zone: string;
}

/** The numbers of a customer: what kind, which first, who else has them, since when and until when. */
export function Numbers({ page, zone }: Props) {
  const { file, numbers } = page;
  const refusal = useRefusal('WORK');
  const may = refusal === '' && file.joinedInto === undefined;
  const change = useCustomerChange();
  const now = numbers.filter(({ until }) => until === undefined);
  const before = numbers.filter(({ until }) => until !== undefined);
  const [adding, setAdding] = useState(false);
  return (
    <Section
      title="Numbers"
      aside={
        may &&
        !adding && (
          <Button sx={{ p: 0 }} onClick={() => setAdding(true)}>
            Add a number
          </Button>
        )
      }
    >
      {now.length === 0 && !adding && (
        <Box sx={{ color: 'text.secondary' }}>None yet. Add one, or say who it is when they text.</Box>
      )}
      {now.map((number) => (
        <HeldNumber
          key={number.numberId}
          number={number}
          file={file.id}
          first={now[0] === number}
          may={may}
          zone={zone}
          change={change}
        />
      ))}
      {adding && <AddNumber id={file.id} onDone={() => setAdding(false)} />}
      {before.map((number) => (
        <Box key={`${number.numberId} ${number.until ?? ''}`} sx={{ color: 'text.secondary' }}>
          {number.local}, until {number.until && <Moment at={number.until} zone={zone} />}
        </Box>
      ))}
      {change.error && <ProblemNote problem={change.error} />}
    </Section>
  );
}

interface HeldProps {
  number: CustomerNumber;
  file: number;
  first: boolean;
  may: boolean;
  zone: string;
  change: ReturnType<typeof useCustomerChange>;
}

function HeldNumber({ number, file, first, may, zone, change }: HeldProps) {
  const queries = useQueryClient();
  const canCheck = useQuery(customerTermsQuery).data?.canCheckNumbers ?? false;
  const path = { id: file, number: number.numberId };
  const describe = (kind: string, word: string) =>
    change.mutate({ go: () => ask('PUT', '/api/customers/{id}/numbers/{number}', { path, body: { kind, word } }) });
  const kind = number.kind ?? '';
  const word = number.word ?? '';
  const own = kind === '' || KINDS.some(({ value }) => value === kind) ? [] : [{ value: kind, words: kind }];
  return (
    <Box sx={{ py: 0.5, borderBottom: 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}>
        <Box component="span" className="figures" sx={{ fontWeight: 650 }}>
          {number.local}
        </Box>
        {number.international !== number.local && (
          <Box component="span" className="figures" sx={{ color: 'text.secondary' }}>
            {number.international}
          </Box>
        )}
        {may ? (
          <>
            <Blank
              name={`Kind of ${number.local}`}
              value={kind}
              unsaid="kind…"
              options={[...own, ...KINDS, ...(kind === '' ? [] : [{ value: '', words: 'not known' }])]}
              onChange={(next) => describe(next, word)}
            />
            <BlankText
              name={`A word about ${number.local}`}
              value={word}
              placeholder="add a word"
              onChange={(next) => describe(kind, next)}
            />
          </>
        ) : (
          [kind, word].filter(Boolean).join(', ')
        )}
      </Box>
      {STATES[number.state] && <Box sx={{ color: 'error.main' }}>{STATES[number.state]}</Box>}
      {number.others.length > 0 && <Box>Shared with {number.others.join(' and ')}.</Box>}
      <Allowed number={number} />
      <NumberCheckLine
        address={number.address}
        check={number.check}
        zone={zone}
        may={may && canCheck && number.address.startsWith('+')}
        onAsked={() => void queries.invalidateQueries({ queryKey: keys.customers })}
      />
      {may && (
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          {first ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              texted first
            </Box>
          ) : (
            <Button
              sx={{ p: 0 }}
              onClick={() =>
                change.mutate({ go: () => ask('POST', '/api/customers/{id}/numbers/{number}/prefer', { path }) })
              }
              aria-label={`Text ${number.local} first`}
            >
              Text this first
            </Button>
          )}
          <Button
            sx={{ p: 0 }}
            aria-label={`No longer theirs: ${number.local}`}
            onClick={() =>
              change.mutate({
                go: () => ask('POST', '/api/customers/{id}/numbers/{number}/give-up', { path }),
                undo: `${number.local} is no longer theirs`,
              })
            }
          >
            No longer theirs
          </Button>
        </Box>
      )}
    </Box>
  );
}

const WORDS = { AGREED: 'agreed', NOT_SAID: 'not said', OPTED_OUT: 'opted out' } as const;

/** May we text it: in one sentence where all lines stand alike, else line by line. */
function Allowed({ number }: { number: CustomerNumber }) {
  const lines = useQuery(linesQuery).data ?? [];
  const said = number.allowed.map(({ lineId, service, news }) => ({
    line: lines.find(({ id }) => id === lineId)?.name ?? '',
    words: `Answers: ${WORDS[service]}, news: ${WORDS[news]}`,
    stopped: service === 'OPTED_OUT',
  }));
  const alike = said.every(({ words }) => words === said[0]?.words);
  const shown = alike ? said.slice(0, 1).map((one) => ({ ...one, line: '' })) : said;
  return shown.map(({ line, words, stopped }) => (
    <Box key={line} sx={{ color: stopped ? 'error.main' : 'text.secondary' }}>
      {line === '' ? words : `${line}. ${words}`}.
    </Box>
  ));
}

function AddNumber({ id, onDone }: { id: number; onDone: () => void }) {
  const [typed, setTyped] = useState('');
  const refusal = useRefusal('WORK');
  const change = useCustomerChange();
  const add = () =>
    change.mutate(
      {
        go: () =>
          ask('POST', '/api/customers/{id}/numbers', { path: { id }, body: { number: typed, kind: '', word: '' } }),
        undo: `${typed} is theirs`,
      },
      { onSuccess: onDone },
    );
  return (
    <Box
      component="form"
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', py: 0.5, flexWrap: 'wrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Field
        label="Number"
        value={typed}
        placeholder="as you have it"
        // The person who asked for it wants to type it.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
      />
      <ActButton refusal={refusal} type="submit" variant="contained" disabled={typed.trim() === '' || change.isPending}>
        Add
      </ActButton>
      <Button onClick={onDone}>Cancel</Button>
      {change.error && <ProblemNote problem={change.error} />}
    </Box>
  );
}
