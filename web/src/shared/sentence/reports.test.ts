import { describe, expect, it } from 'vitest';
import table from '../../../../core/src/test/resources/sentences-reports.txt?raw';
import { readReport, reportWords, type ReportTerms, writeReport } from './reports';

const texts = table.split('\n').filter((line) => line !== '' && !line.startsWith('#'));

const terms: ReportTerms = {
  lines: [{ id: 2, name: 'Dock office' }],
  sites: [],
  teams: [{ id: 1, name: 'Yard' }],
  staff: [{ id: 4, name: 'Eli' }],
  topics: [{ id: 5, name: 'storage', retired: true }],
  today: '2026-06-09',
  subject: 'answer times',
};

const said = (text: string) => {
  const sentence = readReport(text);
  return reportWords(sentence, { ...terms, subject: sentence.subject });
};

describe('sentences of Reports', () => {
  it.each(texts)('%s is read and written unchanged', (text) => {
    expect(writeReport(readReport(text))).toBe(text);
  });

  it.each([
    ['', 'answer times on every line in the last 4 weeks by day'],
    ['last 91; by topic; team 1', 'answer times on every line in the last 13 weeks by topic, of Yard'],
    ['waits; line 2', 'customers waiting through the week on Dock office in the last 4 weeks'],
    [
      'texts; from 2026-01-01; by hour',
      'texts in and out on every line between two dates from 2026-01-01 to … by hour',
    ],
    ['last 28', 'in the last 4 weeks'],
    ['last 5; topic 5', 'in the last 5 days by day, about storage (retired)'],
  ])('%s reads as people say it', (text, words) => {
    expect(said(text)).toContain(words);
  });

  it('leaves out what the subject cannot have', () => {
    expect(writeReport(readReport('waits; by day; person 4; topic 5'))).toBe('waits');
    expect(writeReport(readReport('texts; by person; last 7'))).toBe('texts; last 7');
  });
});
