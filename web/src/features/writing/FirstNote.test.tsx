// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { checked, dock, dossierWith, maren, priya, session } from '../../testing/data';

// As when the page was just loaded: what is fetched with the first note is not there yet.
vi.resetModules();
const { show } = await import('../../testing/show');
const { WritingPlace } = await import('./WritingPlace');

const said = { answer: 'NOT_SAID' };

it('keeps a Tab in the first note until what completes names is there', async () => {
  show(
    <WritingPlace
      ref={null}
      dossier={dossierWith()}
      line={dock}
      me={maren.id}
      onFinish={vi.fn()}
      onWriting={vi.fn()}
    />,
    {
      'POST /api/conversations/7/texts/check': checked,
      'GET /api/staff': [maren, priya],
      'GET /api/conversations/7/templates/short-names': ['lift'],
      'GET /api/conversations/7/suggestions': [],
      'GET /api/conversations/7/templates': { templates: [], all: 0 },
      'GET /api/conversations/7/agreement': { number: 'GOOD', service: said, news: said, history: [] },
      'PUT /api/conversations/7/drafts/REPLY': undefined,
      'PUT /api/conversations/7/drafts/NOTE': undefined,
    },
    session,
  );
  const paper = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: /^Reply to|^Note/ });
  fireEvent.change(paper(), { target: { value: 'lift' } });
  await screen.findByRole('button', { name: /^Tab inserts/ });
  fireEvent.click(screen.getByRole('button', { name: /^Note/ }));
  fireEvent.change(paper(), { target: { value: 'Ask @pri' } });
  paper().setSelectionRange(8, 8);
  expect(fireEvent.keyDown(paper(), { key: 'Tab' })).toBe(false);
  await waitFor(() => expect(paper().value).toBe('Ask @Priya Nandakumar '));
});
