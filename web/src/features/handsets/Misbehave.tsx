import { Box, Button } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Blank } from '../../shared/ui';
import { call, type Faults } from './api';

const GOOD: Faults = {
  down: false,
  strangeKey: false,
  delayMillis: 0,
  refuse: 0,
  refuseForGood: 0,
  loseAnswers: 0,
  failWith: null,
  repeat: 0,
  outOfOrder: false,
  loseMedia: 0,
  spoilMedia: 0,
};

const counts = [0, 1, 3, 10].map((value) => ({
  value,
  words: value === 0 ? 'none' : value === 1 ? 'the next one' : `the next ${value}`,
}));

/** How the network misbehaves, as sentences with blanks. */
export function Misbehave({ faults }: { faults: Faults }) {
  const queries = useQueryClient();
  const set = useMutation({
    mutationFn: (wanted: Faults) => call('PUT', '/control/faults', wanted),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['overview'] }),
  });
  const change = (part: Partial<Faults>) => set.mutate({ ...faults, ...part });
  const behaves = JSON.stringify({ ...GOOD, ...faults }) === JSON.stringify(GOOD);
  return (
    <Box
      component="aside"
      aria-label="Faults"
      sx={{ borderLeft: 1, borderColor: 'divider', p: 2, typography: 'body2', overflowY: 'auto' }}
    >
      <Box component="h2" sx={{ m: 0, mb: 1, typography: 'heading' }}>
        The network
      </Box>
      <Box sx={{ display: 'grid', rowGap: 1.5 }}>
        <span>
          It is{' '}
          <Blank
            name="Network"
            value={faults.down ? 'down' : 'up'}
            options={[
              { value: 'up', words: 'up' },
              { value: 'down', words: 'down' },
            ]}
            onChange={(value) => change({ down: value === 'down' })}
          />
          , and{' '}
          <Blank
            name="Key"
            value={faults.strangeKey ? 'strange' : 'known'}
            options={[
              { value: 'known', words: 'knows our key' },
              { value: 'strange', words: 'does not know our key' },
            ]}
            onChange={(value) => change({ strangeKey: value === 'strange' })}
          />
          .
        </span>
        <span>
          It answers{' '}
          <Blank
            name="Delay"
            value={faults.delayMillis}
            options={[
              { value: 0, words: 'at once' },
              { value: 500, words: 'after half a second' },
              { value: 3000, words: 'after 3 seconds' },
              { value: 15000, words: 'after 15 seconds' },
            ]}
            onChange={(delayMillis) => change({ delayMillis })}
          />
          .
        </span>
        <span>
          Of our texts it refuses for now{' '}
          <Blank
            name="Refuses for now"
            value={faults.refuse}
            options={options(faults.refuse)}
            onChange={(refuse) => change({ refuse })}
          />
          , for good{' '}
          <Blank
            name="Refuses for good"
            value={faults.refuseForGood}
            options={options(faults.refuseForGood)}
            onChange={(refuseForGood) => change({ refuseForGood })}
          />
          , and takes but loses the answer of{' '}
          <Blank
            name="Loses the answer"
            value={faults.loseAnswers}
            options={options(faults.loseAnswers)}
            onChange={(loseAnswers) => change({ loseAnswers })}
          />
          .
        </span>
        <span>
          What it takes{' '}
          <Blank
            name="Delivery"
            value={faults.failWith ?? ''}
            options={[
              { value: '', words: 'arrives' },
              { value: 'undeliverable', words: 'fails to arrive' },
            ]}
            onChange={(code) => change({ failWith: code === '' ? null : code })}
          />
          .
        </span>
        <span>
          It tells everything{' '}
          <Blank
            name="Repeats"
            value={faults.repeat}
            options={[
              { value: 0, words: 'once' },
              { value: 1, words: 'twice' },
              { value: 4, words: 'five times' },
            ]}
            onChange={(repeat) => change({ repeat })}
          />
          , with reports{' '}
          <Blank
            name="Order"
            value={faults.outOfOrder ? 'out' : 'in'}
            options={[
              { value: 'in', words: 'in order' },
              { value: 'out', words: 'out of order' },
            ]}
            onChange={(value) => change({ outOfOrder: value === 'out' })}
          />
          .
        </span>
        <span>
          Of the files that go with texts it loses{' '}
          <Blank
            name="Loses files"
            value={faults.loseMedia}
            options={options(faults.loseMedia)}
            onChange={(loseMedia) => change({ loseMedia })}
          />
          , and spoils{' '}
          <Blank
            name="Spoils files"
            value={faults.spoilMedia}
            options={options(faults.spoilMedia)}
            onChange={(spoilMedia) => change({ spoilMedia })}
          />
          .
        </span>
        <Button variant="outlined" disabled={behaves} onClick={() => set.mutate(GOOD)}>
          Stop all faults
        </Button>
      </Box>
    </Box>
  );
}

/** The usual counts, and whatever is left of one that was set. */
function options(now: number) {
  return counts.some((count) => count.value === now) ? counts : [...counts, { value: now, words: `the next ${now}` }];
}
