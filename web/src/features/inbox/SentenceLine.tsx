import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { linesQuery, type ListOrder, sitesQuery, staffQuery, teamsQuery, topicsQuery } from '../../shared/api';
import { localOf } from '../../shared/format';
import type { Sentence } from '../../shared/sentence';
import { Blank, BlankText, useNow } from '../../shared/ui';
import { type ListAddress, ORDERS } from './model/choice';
import { daysWords, isSaid, leftWords, type Part, PART_WORDS, PARTS, whoseKey, whoseOf } from './model/words';

/** Parts that are either said or not. */
const FLAGS = new Set<Part>(['toIdentify', 'failed', 'unread']);

interface Props {
  address: ListAddress;
  toIdentify: boolean;
  onChange: (address: ListAddress) => void;
}

const LEFTS = [
  { value: '..0', words: 'late' },
  { value: '..15', words: 'less than 15 min left' },
  { value: '0..60', words: 'up to an hour left' },
  { value: '60..', words: 'more than an hour left' },
];
const DAYS = [
  { value: '1', words: 'today' },
  { value: '7', words: 'in the last 7 days' },
  { value: '30', words: 'in the last 30 days' },
  { value: 'dates', words: 'between two dates' },
];

function useWhose() {
  const staff = useQuery(staffQuery).data ?? [];
  const teams = useQuery(teamsQuery).data ?? [];
  return [
    { value: 'everyone', words: 'all' },
    { value: 'mine', words: 'my' },
    { value: 'nobody', words: 'nobody’s' },
    ...teams.map((team) => ({ value: `team ${team.id}`, words: `${team.name}’s` })),
    ...staff.map((one) => ({ value: `colleague ${one.id}`, words: `${one.name}’s` })),
  ];
}

/** A part of the sentence that can be taken out again. */
function Removable({ name, onRemove, children }: { name: string; onRemove: () => void; children: ReactNode }) {
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      {children}
      <ButtonBase
        aria-label={`Remove ${name}`}
        onClick={onRemove}
        sx={{ font: 'inherit', px: 0.5, color: 'text.secondary', lineHeight: 1.2 }}
      >
        ×
      </ButtonBase>
    </Box>
  );
}

/** The sentence that says which conversations these are. Every blank is edited in place. */
export function SentenceLine({ address, toIdentify, onChange }: Props) {
  const { sentence } = address;
  const [adding, setAdding] = useState<Part>();
  const whose = useWhose();
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  const sites = useQuery(sitesQuery).data ?? [];
  const topics = useQuery(topicsQuery).data ?? [];
  const say = (change: Partial<Sentence>) => onChange({ ...address, sentence: { ...sentence, ...change } });
  const shown = (part: Part) => isSaid(sentence, part) || adding === part;
  const add = (part: Part) => {
    setAdding(part);
    if (FLAGS.has(part)) say({ [part]: true });
    if (part === 'left') say({ left: { to: 0 } });
    if (part === 'days') say({ days: { last: 7 } });
    if (part === 'topic') say({ topic: topics.find((topic) => !topic.retired)?.id });
    if (part === 'site') say({ site: sites[0]?.id });
  };
  const leave = (part: Part) => {
    setAdding(undefined);
    say({
      [part]: part === 'called' || part === 'saying' ? '' : FLAGS.has(part) ? false : undefined,
    });
  };
  const part = (which: Part, children: ReactNode) =>
    shown(which) && (
      <>
        {', '}
        <Removable name={PART_WORDS[which]} onRemove={() => leave(which)}>
          {children}
        </Removable>
      </>
    );
  const team = (id: number) =>
    topics.filter((t) => t.name === topics.find((x) => x.id === id)?.name).length > 1 ? id : 0;
  const left = sentence.left ? `${sentence.left.from ?? ''}..${sentence.left.to ?? ''}` : '';
  const dates = sentence.days && sentence.days.last === undefined;
  const addable = PARTS.filter((each) => !shown(each) && !(toIdentify && each === 'toIdentify'));
  return (
    <Box sx={{ typography: 'body2', color: 'text.secondary', lineHeight: 1.7 }}>
      {toIdentify ? 'To identify, ' : 'Showing '}
      <Blank
        name="Whose"
        value={whoseKey(sentence.whose)}
        options={whose}
        onChange={(key) => say({ whose: whoseOf(key) })}
      />
      {' conversations on '}
      <Blank
        name="Line"
        value={sentence.line}
        options={[
          { value: undefined, words: 'any line' },
          ...lines.map((line) => ({ value: line.id, words: line.name })),
        ]}
        onChange={(line) => say({ line })}
      />
      {part(
        'site',
        <>
          at{' '}
          <Blank
            name="Site"
            value={sentence.site}
            options={sites.map((site) => ({ value: site.id, words: site.name }))}
            onChange={(site) => say({ site })}
          />
        </>,
      )}
      {part(
        'topic',
        <>
          about{' '}
          <Blank
            name="Topic"
            value={sentence.topic}
            options={topics.map((topic) => ({
              value: topic.id,
              words: `${topic.name}${team(topic.id) ? `, ${whose.find((w) => w.value === `team ${topic.teamId}`)?.words.replace('those of ', '') ?? ''}` : ''}${topic.retired ? ' (retired)' : ''}`,
            }))}
            onChange={(topic) => say({ topic })}
          />
        </>,
      )}
      {part(
        'called',
        <>
          called{' '}
          <BlankText
            name="Name, number or detail"
            value={sentence.called}
            placeholder="name, number, boat"
            begin={adding === 'called'}
            onChange={(called) => say({ called })}
          />
        </>,
      )}
      {part(
        'saying',
        <>
          saying{' '}
          <BlankText
            name="Words in the script"
            value={sentence.saying}
            placeholder="words"
            begin={adding === 'saying'}
            onChange={(saying) => say({ saying })}
          />
        </>,
      )}
      {part(
        'left',
        <Blank
          name="Time left"
          value={left}
          options={
            LEFTS.some((each) => each.value === left) || !sentence.left
              ? LEFTS
              : [{ value: left, words: leftWords(sentence.left) }, ...LEFTS]
          }
          onChange={(span) => {
            const [from, to] = span.split('..');
            say({ left: { ...(from ? { from: Number(from) } : {}), ...(to ? { to: Number(to) } : {}) } });
          }}
        />,
      )}
      {part(
        'days',
        <>
          last text{' '}
          <Blank
            name="Days"
            value={dates ? 'dates' : String(sentence.days?.last ?? '')}
            options={[
              ...(sentence.days?.last && !DAYS.some((d) => d.value === String(sentence.days?.last))
                ? [{ value: String(sentence.days.last), words: daysWords(sentence.days) }]
                : []),
              ...DAYS,
            ]}
            onChange={(days) =>
              say({
                days:
                  days === 'dates'
                    ? { from: localOf(now, lines[0]?.zone ?? 'UTC').slice(0, 10) }
                    : { last: Number(days) },
              })
            }
          />
          {dates && (
            <>
              {' from '}
              <BlankText
                name="First day"
                type="date"
                placeholder=""
                value={sentence.days?.from ?? ''}
                onChange={(from) => say({ days: { ...sentence.days, from: from || undefined } })}
              />
              {' to '}
              <BlankText
                name="Last day"
                type="date"
                placeholder=""
                value={sentence.days?.to ?? ''}
                onChange={(to) => say({ days: { ...sentence.days, to: to || undefined } })}
              />
            </>
          )}
        </>,
      )}
      {!toIdentify && part('toIdentify', 'to identify')}
      {part('failed', 'not delivered')}
      {part('unread', 'that I have not read')}
      {addable.length > 0 && (
        <>
          {' '}
          <Blank
            name="Add a condition"
            value={undefined as Part | undefined}
            unsaid="and …"
            options={addable.map((each) => ({ value: each, words: PART_WORDS[each] }))}
            onChange={(each) => each && add(each)}
          />
        </>
      )}
      {'; '}
      <Blank<ListOrder>
        name="Order"
        value={address.order}
        options={ORDERS[address.group]}
        onChange={(order) => onChange({ ...address, order })}
      />
    </Box>
  );
}
