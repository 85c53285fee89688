import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { WhenClosed } from '../../shared/api';
import { Blank, BlankText } from '../../shared/ui';
import { begun, choices, DAYS, fitting, type Repeat, type Unit } from './model/repeat';

interface Props {
  /** None for once. */
  repeat: Repeat | undefined;
  /** The first day, "2026-06-11". */
  first: string;
  whenClosed: WhenClosed;
  onRepeat: (repeat: Repeat | undefined) => void;
  onWhenClosed: (what: WhenClosed) => void;
}

/** How often is offered; what a rule says otherwise is offered as well. */
const OFTEN: [Unit, number[]][] = [
  ['day', [1, 2, 3]],
  ['week', [1, 2, 3, 4]],
  ['month', [1, 2, 3, 4, 6]],
  ['year', [1, 2, 3, 5]],
];
const ONCE = 'once';

function often(repeat: Repeat | undefined) {
  const offered = OFTEN.flatMap(([unit, counts]) => counts.map((every) => ({ unit, every })));
  const isOffered = offered.some(({ unit, every }) => unit === repeat?.unit && every === repeat.every);
  return [
    { value: ONCE, words: 'once' },
    ...[...offered, ...(repeat && !isOffered ? [repeat] : [])].map(({ unit, every }) => ({
      value: `${every} ${unit}`,
      words: every === 1 ? `every ${unit}` : `every ${every} ${unit}s`,
    })),
  ];
}

const CLOSED: { value: WhenClosed; words: string }[] = [
  { value: 'SEND', words: 'send it anyway' },
  { value: 'SKIP', words: 'skip it' },
  { value: 'NEXT_OPEN_DAY', words: 'send it on the next open day' },
];

/** How often a text goes, as a sentence with blanks. */
export function RepeatSentence({ repeat, first, whenClosed, onRepeat, onWhenClosed }: Props) {
  const choose = (value: string) => {
    if (value === ONCE) return onRepeat(undefined);
    const [every = '1', unit = 'day'] = value.split(' ');
    return onRepeat(fitting({ ...(repeat ?? begun(first)), unit: unit as Unit, every: Number(every) }, first));
  };
  const value = repeat ? `${repeat.every} ${repeat.unit}` : ONCE;
  const howOften = <Blank name="How often" value={value} options={often(repeat)} onChange={choose} />;
  if (repeat === undefined) return <Box>Send it {howOften}.</Box>;
  const { unit, end } = repeat;
  const change = (next: Partial<Repeat>) => onRepeat({ ...repeat, ...next });
  const on = choices(unit, first);
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      <Box>
        Send it {howOften}
        {on.length > 0 && (
          <>
            {' on '}
            <Blank
              name="On which day"
              value={on.find(({ value }) => value === repeat.on)?.value ?? on[0]?.value ?? 'day'}
              options={on}
              onChange={(next) => change({ on: next })}
            />
          </>
        )}
        {', '}
        <Blank
          name="Until when"
          value={end.kind}
          options={[
            { value: 'never', words: 'without end' },
            { value: 'times', words: 'a number of times' },
            { value: 'until', words: 'until a date' },
          ]}
          onChange={(kind) =>
            change({
              end: kind === 'times' ? { kind, times: 12 } : kind === 'until' ? { kind, day: first } : { kind: 'never' },
            })
          }
        />
        {end.kind === 'times' && (
          <>
            {': '}
            <BlankText
              name="How many times"
              value={String(end.times)}
              placeholder="12"
              longest={4}
              onChange={(words) =>
                change({ end: { kind: 'times', times: Math.max(1, Number(words.replaceAll(/\D/g, '')) || 1) } })
              }
            />
          </>
        )}
        {end.kind === 'until' && (
          <>
            {': '}
            <BlankText
              name="Last day"
              type="date"
              value={end.day}
              placeholder=""
              onChange={(day) => day !== '' && change({ end: { kind: 'until', day } })}
            />
          </>
        )}
        .
      </Box>
      {unit === 'week' && (
        <ToggleButtonGroup
          size="small"
          aria-label="Days of the week"
          value={repeat.days}
          onChange={(_, days: number[]) => days.length > 0 && change({ days })}
        >
          {DAYS.map((day, i) => (
            <ToggleButton key={day} value={i} aria-label={day} sx={{ px: 1.25, py: 0.25 }}>
              {day.slice(0, 2)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <Box>
        On days when the line is closed,{' '}
        <Blank name="On closed days" value={whenClosed} options={CLOSED} onChange={onWhenClosed} />.
      </Box>
    </Box>
  );
}
