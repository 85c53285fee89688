// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Attachment } from '../../shared/api';
import { show } from '../../testing/show';
import { Viewer } from './Viewer';

const SAIL: Attachment = {
  id: 9,
  name: 'sail.png',
  mediaType: 'image/png',
  kind: 'PICTURE',
  octets: 4_000,
  shown: true,
  state: 'HERE',
  preview: true,
  words: '',
};

it('a description is saved once, and the button keeps the focus, so that Esc closes the picture', async () => {
  let closed = 0;
  const page = show(
    <Viewer list={[SAIL]} conversation={7} at={9} onStep={() => undefined} onClose={() => (closed += 1)} />,
    { 'PUT /api/attachments/9/words': undefined },
  );
  fireEvent.change(await screen.findByLabelText(/^What it shows/), { target: { value: 'The sail, torn' } });
  const save = screen.getByRole('button', { name: 'Save description' });
  save.focus();
  fireEvent.click(save);
  await waitFor(() => expect(save.textContent).toBe('Description saved'));
  fireEvent.click(save);
  expect(page.told('PUT', '/api/attachments/9/words')).toEqual([{ words: 'The sail, torn' }]);
  expect(document.activeElement).toBe(save);
  fireEvent.keyDown(save, { key: 'Escape' });
  expect(closed).toBe(1);
});
