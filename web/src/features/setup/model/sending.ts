import type { SendReason, SendSettings } from '../../../shared/api/types';

/** When a reason comes up, as a lead reads it. */
const WHEN: Record<string, string> = {
  'marked-wrong': 'The number is marked as wrong',
  'no-such-number': 'The network says that the number does not exist',
  'cannot-receive': 'The number cannot receive texts',
  placeholder: 'A placeholder is not filled in',
  'too-many-parts': 'It takes more parts than the line sends',
  'over-allowance': 'It takes more parts than an allowance leaves',
  'no-agreement-to-news': 'News and offers, and the customer has not agreed to them',
  'no-agreement': 'It is not noted that the customer agrees to texts',
  'same-text': 'The same text went to this number a moment ago',
  night: 'It is night where the customer is, and they wait for nothing',
  'day-off': 'It is a public holiday there, and they wait for nothing',
  'web-address': 'It contains a web address, and they never wrote to us',
  'many-recipients': 'It goes to many customers',
  'allowance-nearly-used': 'Most of an allowance is used',
  'network-waiting': 'The phone network is not answering',
};

const WHAT: Record<SendReason['severity'], string> = {
  IGNORE: 'Do nothing',
  TELL: 'Tell the writer',
  ASK: 'Ask before sending',
  REFUSE: 'Do not send',
};

/** "It is night where the customer is" */
export function whenWords({ code }: SendReason): string {
  return WHEN[code] ?? code.replaceAll('-', ' ');
}

/** "Ask before sending" */
export function whatWords(severity: SendReason['severity']): string {
  return WHAT[severity];
}

/** "21:00", as a time field has it. */
export function timeOfDay(minutes: number): string {
  const two = (number: number) => String(number).padStart(2, '0');
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** Minutes of the day; as they were while the field is being filled in. */
export function minuteOfDay(time: string, before: number): number {
  const found = /^(\d{2}):(\d{2})$/.exec(time);
  return found ? Number(found[1]) * 60 + Number(found[2]) : before;
}

/** The reasons with another weight for one of them. */
export function weighed(settings: SendSettings, code: string, severity: SendReason['severity']): SendReason[] {
  return settings.reasons.map((each) => (each.code === code ? { ...each, severity } : each));
}

export const LANGUAGES: [SendSettings['languages'][number], string][] = [
  ['ES', 'Spanish'],
  ['FR', 'French'],
  ['DE', 'German'],
  ['PT', 'Portuguese'],
  ['IT', 'Italian'],
  ['NL', 'Dutch'],
  ['PL', 'Polish'],
];
