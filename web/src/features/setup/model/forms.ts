import type { WebForm } from '../../../shared/api/types';

/** A form as it begins. */
export const NEW_FORM: WebForm = {
  id: 0,
  address: '',
  name: '',
  business: '',
  heading: 'Ask us by text',
  intro: '',
  wording:
    'You may text me about my enquiry. Message and data rates may apply. I can text STOP at any time to end it, or HELP for help.',
  colour: '#1f5c50',
  asks: 'ENQUIRY',
  confirms: true,
  inUse: true,
  lines: [],
  version: 0,
};

/** What a form does, in a sentence or two. */
export function asksWords({ asks, confirms, inUse }: WebForm): string {
  if (!inUse) return 'Switched off: its address shows nothing.';
  const what = asks === 'ENQUIRY' ? 'Takes enquiries.' : 'Asks only whether you may text them.';
  return `${what} ${confirms ? 'The number is confirmed with a code.' : 'The number is not confirmed.'}`;
}

const escaped = (words: string) => words.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');

/** What a web site needs to show a form in a frame. */
export const frameOf = (address: string, title: string): string =>
  `<iframe src="${escaped(address)}" title="${escaped(title)}" style="width: 100%; max-width: 36rem; height: 44rem; border: 0"></iframe>`;
