// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import type { ImportPreview } from '../../shared/api';
import { customerTerms } from '../../testing/data';
import { show } from '../../testing/show';
import { PreviewPart } from './PreviewPart';

const jobs: ImportPreview = {
  id: 3,
  fileName: 'jobs.csv',
  subject: 'JOBS',
  fixed: false,
  encoding: 'UTF-8',
  encodings: ['UTF-8'],
  separator: ',',
  headed: true,
  columns: [
    { title: 'What', samples: ['Paint'], target: 'WHAT' },
    { title: 'Customer', samples: ['Ada'], target: 'NAME' },
  ],
  counts: { added: 1, same: 0, changed: 0, asked: 1, refused: 0 },
  rows: [
    {
      line: 2,
      shown: 'Paint · Ada',
      fate: 'ASKED',
      known: 7,
      knownName: 'Ada Brandt',
      words: ['Is it for Ada Brandt?'],
    },
    { line: 3, shown: 'Polish · Ben', fate: 'NEW', words: [] },
  ],
};

const nothing = () => undefined;

it('asks for whom a job is, and takes it only when a person says so', async () => {
  const page = show(<PreviewPart first={jobs} onBegun={nothing} onGivenUp={nothing} />, {
    'GET /api/customers/terms': customerTerms,
    'POST /api/imports/3/preview': { ...jobs, counts: { ...jobs.counts, asked: 0, added: 2 } },
  });
  expect(screen.queryByText('No, a new one')).toBeNull();
  expect(screen.queryByText(/Put them on/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Yes, for Ada Brandt' }));
  expect(await screen.findByRole('button', { name: 'Add 2 jobs' })).toBeTruthy();
  const asked = page.asked.find(({ path }) => path.endsWith('/preview'));
  expect(asked?.body).toMatchObject({ subject: 'JOBS', answers: { 2: 7 } });
});

it('reads the file again when it is about something else', async () => {
  const onBegun = vi.fn();
  const page = show(<PreviewPart first={jobs} onBegun={onBegun} onGivenUp={nothing} />, {
    'GET /api/customers/terms': customerTerms,
    'POST /api/imports/3/preview': { ...jobs, subject: 'TEXTS', columns: [], rows: [] },
  });
  fireEvent.click(screen.getByRole('button', { name: /What is in the file/ }));
  fireEvent.click(await screen.findByRole('menuitem', { name: 'past texts' }));
  expect(await screen.findByText(/nobody waits for an answer to them/)).toBeTruthy();
  expect(page.asked.find(({ path }) => path.endsWith('/preview'))?.body).not.toHaveProperty('targets');
});
