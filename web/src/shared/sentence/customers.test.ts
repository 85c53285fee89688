import { describe, expect, it } from 'vitest';
import table from '../../../../core/src/test/resources/sentences-customers.txt?raw';
import { EVERY_CUSTOMER, readCustomers, writeCustomers } from './customers';

const texts = table.split('\n').filter((line) => line !== '' && !line.startsWith('#'));

describe('sentences about customers', () => {
  it.each(texts)('%s is read and written unchanged', (text) => {
    expect(writeCustomers(readCustomers(text))).toBe(text);
  });

  it('leaves out what cannot be read', () => {
    expect(readCustomers('everyone; site 0; list 3; silent 99999; from 2026-02-30')).toEqual({
      ...EVERY_CUSTOMER,
      list: 3,
    });
  });
});
