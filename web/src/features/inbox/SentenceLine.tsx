import { useQuery } from '@tanstack/react-query';
import {
  customerTermsQuery,
  linesQuery,
  type ListOrder,
  sitesQuery,
  staffQuery,
  teamsQuery,
  topicsQuery,
} from '../../shared/api';
import { localOf } from '../../shared/format';
import { CONVERSATIONS, type Given } from '../../shared/sentence';
import { SentenceEditor } from '../../shared/sentence/SentenceEditor';
import { Blank, useNow } from '../../shared/ui';
import { type ListAddress, ORDERS } from './model/choice';

interface Props {
  address: ListAddress;
  toIdentify: boolean;
  onChange: (address: ListAddress) => void;
}

/** What the blanks of a sentence are filled with, as far as a person sees it. */
function useGiven(): Given {
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  const terms = useQuery(customerTermsQuery).data;
  return {
    kinds: terms?.kinds ?? [],
    lists: terms?.lists ?? [],
    details: terms?.details.filter(({ retired }) => !retired) ?? [],
    lines,
    staff: useQuery(staffQuery).data ?? [],
    teams: useQuery(teamsQuery).data ?? [],
    sites: useQuery(sitesQuery).data ?? [],
    topics: useQuery(topicsQuery).data ?? [],
    today: localOf(now, lines[0]?.zone ?? 'UTC').slice(0, 10),
  };
}

/** The sentence that says which conversations these are, and in what order. */
export function SentenceLine({ address, toIdentify, onChange }: Props) {
  return (
    <SentenceEditor
      grammar={CONVERSATIONS}
      sentence={address.sentence}
      given={useGiven()}
      opening={toIdentify ? 'To identify, ' : 'Showing '}
      {...(toIdentify ? { without: ['toIdentify' as const] } : {})}
      onChange={(sentence) => onChange({ ...address, sentence })}
    >
      {'; '}
      <Blank<ListOrder>
        name="Order"
        value={address.order}
        options={ORDERS[address.group]}
        onChange={(order) => onChange({ ...address, order })}
      />
    </SentenceEditor>
  );
}
