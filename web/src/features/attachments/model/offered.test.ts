import { describe, expect, it } from 'vitest';
import type { OfferedFiles } from '../../../shared/api/types';
import { offered } from './offered';

const file = (id: number, title: string) => ({
  id,
  kind: 'PDF' as const,
  title,
  name: `${title}.pdf`,
  mediaType: 'application/pdf',
  octets: 10,
  preview: id % 2 === 0,
  shown: true,
  retired: false,
  lines: [],
  putBy: 1,
  putAt: '2026-06-09T19:05:00Z',
  version: 1,
});

const FILES: OfferedFiles = {
  shelf: [file(1, 'Dock rules'), file(2, 'Map of the North Dock')],
  kept: [file(3, 'Estimate for the keel')],
  earlier: [
    {
      id: 4,
      kind: 'PICTURE',
      name: 'IMG_1.jpg',
      mediaType: 'image/jpeg',
      octets: 5,
      words: 'The keel, cracked',
      state: 'HERE',
      preview: true,
      shown: true,
    },
  ],
};

const titles = (typed: string) => offered(FILES, 'Ada', typed).map(({ title }) => title);

describe('files that are here already', () => {
  it('are those of the customer first, then the shelf, then what went and came', () => {
    expect(offered(FILES, 'Ada', '').map(({ group, key }) => [group, key])).toEqual([
      ['Kept with Ada', 'kept-3'],
      ['On the shelf', 'kept-1'],
      ['On the shelf', 'kept-2'],
      ['In earlier texts', 'earlier-4'],
    ]);
  });

  it('stand together when they are for one job, before those for none', () => {
    const ofJob = (id: number, job: number) => ({
      ...file(id, `File ${id}`),
      job: { id: job, name: `Q-${job} Refit` },
    });
    const kept = [ofJob(9, 2), file(8, 'Letter'), ofJob(7, 1), ofJob(6, 2)];
    const files = { shelf: [], kept, earlier: [] };
    expect(offered(files, 'Ada', '').map(({ group, title }) => [group, title])).toEqual([
      ['For Q-2 Refit', 'File 9'],
      ['For Q-2 Refit', 'File 6'],
      ['For Q-1 Refit', 'File 7'],
      ['Kept with Ada', 'Letter'],
    ]);
    expect(offered(files, 'Ada', 'refit 7').map(({ title }) => title)).toEqual(['File 7']);
    expect(offered(files, 'Ada', 'q-1')).toHaveLength(1);
  });

  it.each([
    ['keel', ['Estimate for the keel', 'The keel, cracked']],
    ['dock ma', ['Map of the North Dock']],
    ['ock', []],
    ['KEEL crack', ['The keel, cracked']],
  ])('are found by the beginnings of words: %s', (typed, found) => expect(titles(typed)).toEqual(found));

  it('have a picture in small where there is one', () => {
    expect(offered(FILES, 'Ada', '').map(({ preview }) => preview)).toEqual([
      undefined,
      undefined,
      '/api/kept-files/2/preview',
      '/api/attachments/4/preview',
    ]);
  });
});
