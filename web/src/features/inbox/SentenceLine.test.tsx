// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { EVERYTHING, writeSentence } from '../../shared/sentence';
import { customerTerms, berths, dock, harbour, maren, priya, repairs, yard } from '../../testing/data';
import { show } from '../../testing/show';
import type { ListAddress } from './model/choice';
import { SentenceLine } from './SentenceLine';

const PLAIN: ListAddress = { group: 'OUR_TURN', order: 'TIME_LEFT', sentence: EVERYTHING };
let said = PLAIN;

/** The line with what it says kept, as the address bar does. */
function Kept({ toIdentify = false }: { toIdentify?: boolean }) {
  const [address, setAddress] = useState(PLAIN);
  const change = (next: ListAddress) => {
    said = next;
    setAddress(next);
  };
  return <SentenceLine address={address} toIdentify={toIdentify} onChange={change} />;
}

const ANSWERS = {
  'GET /api/staff': [maren, priya],
  'GET /api/teams': [harbour],
  'GET /api/customers/terms': customerTerms,
  'GET /api/lines': [dock, yard],
  'GET /api/setup/sites': [{ id: 1, name: 'North Dock' }],
  'GET /api/topics': [berths, repairs, { ...berths, id: 3, name: 'mooring', retired: true }],
};

/** Fills a blank with one of what it offers. */
async function fill(blank: RegExp, words: string) {
  fireEvent.click(await screen.findByRole('button', { name: blank }));
  fireEvent.click(await screen.findByRole('menuitem', { name: words }));
}

const sentence = () => writeSentence(said.sentence);

describe('the sentence', () => {
  beforeEach(() => {
    said = PLAIN;
    show(<Kept />, ANSWERS);
  });

  it('means everything at first, and what each blank is filled with from then on', async () => {
    await screen.findByRole('button', { name: 'Line: any line' });
    expect(sentence()).toBe('');
    await fill(/^Whose/, 'Priya Nandakumar’s');
    await fill(/^Line/, 'Yard and lift');
    expect(sentence()).toBe('colleague 2; line 2');
    await fill(/^Whose/, 'Harbour office’s');
    expect(sentence()).toBe('team 1; line 2');
    await fill(/^Order/, 'open longest first');
    expect(said.order).toBe('OPEN_LONGEST');
  });

  it('is narrowed by parts that can be left out again', async () => {
    await fill(/^Add a condition/, 'about a topic');
    await fill(/^Add a condition/, 'not delivered');
    expect(sentence()).toBe('topic 1; not delivered');
    await fill(/^Topic/, 'mooring (retired)');
    expect(sentence()).toBe('topic 3; not delivered');
    fireEvent.click(screen.getByRole('button', { name: 'Remove about a topic' }));
    expect(sentence()).toBe('not delivered');
  });

  it('says words when one leaves their blank, and nothing when one thinks better of it', async () => {
    await fill(/^Add a condition/, 'saying … (words in the script)');
    const blank = screen.getByRole('textbox', { name: 'Words in the script' });
    fireEvent.change(blank, { target: { value: 'bilge; pump' } });
    expect(sentence()).toBe('');
    fireEvent.keyDown(blank, { key: 'Escape' });
    fireEvent.blur(blank);
    expect(sentence()).toBe('');
    fireEvent.change(blank, { target: { value: 'bilge; pump' } });
    fireEvent.blur(blank);
    expect(sentence()).toBe('saying bilge\\; pump');
  });

  it('begins days between two dates with the day it is here', async () => {
    await fill(/^Add a condition/, 'by the day of the last text');
    expect(sentence()).toBe('last 7');
    await fill(/^Days/, 'between two dates');
    expect(sentence()).toBe('from 2026-06-09');
    fireEvent.change(screen.getByLabelText('Last day'), { target: { value: '2026-06-11' } });
    fireEvent.blur(screen.getByLabelText('Last day'));
    expect(sentence()).toBe('from 2026-06-09; to 2026-06-11');
  });
});

it('to identify does not offer what it says already', async () => {
  show(<Kept toIdentify />, ANSWERS);
  fireEvent.click(await screen.findByRole('button', { name: /^Add a condition/ }));
  expect(screen.queryByRole('menuitem', { name: 'to identify' })).toBeNull();
});
