import type {
  Check,
  Conversation,
  CustomerPageData,
  Dossier,
  Line,
  Session,
  Staff,
  Team,
  Topic,
} from '../shared/api/types';

/** When it is in tests: a Tuesday in June, five past two in the afternoon in Chicago. */
export const NOW = '2026-06-09T19:05:00.000Z';

export const maren: Staff = {
  id: 1,
  name: 'Maren Oduya',
  initials: 'MO',
  role: 'LEAD',
  active: true,
  mark: { ink: 'PINE', shape: 'SAIL' },
};

export const priya: Staff = {
  id: 2,
  name: 'Priya Nandakumar',
  initials: 'PN',
  role: 'STAFF',
  active: true,
  mark: { ink: 'TEAL', shape: 'WAVE' },
};

export const harbour: Team = { id: 1, name: 'Harbour office', members: [1, 2] };

export const dock: Line = {
  id: 1,
  name: 'Dock office',
  number: '+19205550101',
  shownNumber: '(920) 555-0101',
  region: 'US',
  site: 'North Dock',
  siteId: 1,
  teamId: 1,
  way: 'NOBODY',
  zone: 'America/Chicago',
  inUse: true,
  narrowed: false,
  groupLimit: 8,
  mostParts: 10,
  registered: true,
  signature: '',
  reaches: [],
  carries: ['PICTURE', 'SOUND', 'VIDEO', 'PDF', 'DOCUMENT', 'CONTACT'],
  mostKilobytes: 5000,
};

export const yard: Line = {
  ...dock,
  id: 2,
  name: 'Yard and lift',
  number: '+19205550102',
  shownNumber: '(920) 555-0102',
};

export const berths: Topic = { id: 1, teamId: 1, name: 'berths', colour: 'PINE', retired: false, version: 4 };
export const repairs: Topic = { id: 2, teamId: 1, name: 'repairs', colour: 'CLAY', retired: false, version: 2 };

/** Maren, who may do everything. */
export const session: Session = {
  staff: maren,
  in: true,
  why: 'ALWAYS',
  now: NOW,
  clockRuns: false,
  live: '',
  leads: [maren.name],
  mustChangePassword: false,
  page: {
    letterKeys: true,
    inbox: '',
    stays: false,
    pauseSeconds: 0,
    looksFirst: false,
    enterSends: false,
    secondLook: false,
  },
  may: ['WORK', 'TEXT', 'SEND_TO_MANY', 'EXPORT', 'CHANGE_TEMPLATES', 'REMOVE_FOR_GOOD', 'LEAD'],
};

/** Someone nobody knows, who waits on us since five minutes on the dock office's line. */
export function conversation(id: number, more: Partial<Conversation> = {}): Conversation {
  return {
    id,
    version: 1,
    group: 'OUR_TURN',
    since: '2026-06-09T19:00:00.000Z',
    lineId: 1,
    number: `(312) 555-0${100 + id}`,
    address: `+131255501${id}`,
    numbers: 1,
    answerable: true,
    toIdentify: false,
    notForUs: false,
    lastAt: '2026-06-09T19:00:00.000Z',
    lastWords: `words of ${id}`,
    lastSpeaker: 'CUSTOMER',
    failed: false,
    openedAt: '2026-06-09T19:00:00.000Z',
    topics: [],
    ...more,
  };
}

/** Conversation 7 as one finds it: nothing begun, and nobody else there. */
export const dossierWith = (more: Partial<Dossier> = {}): Dossier => ({
  conversation: conversation(7, { number: '(312) 555-0107' }),
  drafts: [],
  attached: [],
  holders: [],
  members: [],
  guests: [],
  left: [],
  lost: [],
  newest: 40,
  watchers: [],
  ...more,
});

/** What the server says of a text that may go, of four letters. */
export const checked: Check = {
  parts: { encoding: 'BASIC', forcing: [], parts: 1, units: 4, unitsLeft: 156 },
  verdict: 'MAY_GO',
  objections: [],
  leaving: '',
  from: dock.name,
  to: '(312) 555-0107',
  allowances: [],
  pauseSeconds: 0,
  copies: 1,
};

/** Vera Lund's page. */
export const vera: CustomerPageData = {
  file: {
    id: 3,
    name: 'Vera Lund',
    email: 'vera@lund.example',
    siteId: 1,
    contacts: [],
    details: [{ kindId: 1, words: 'Kittiwake II' }],
    lists: [],
    notes: [{ id: 5, words: 'Texts, never calls.', staffId: 1 }],
  },
  numbers: [
    {
      numberId: 4,
      address: '+13125550107',
      local: '(312) 555-0107',
      international: '+1 312-555-0107',
      preferred: true,
      others: [],
      allowed: [],
      state: 'GOOD',
    },
    {
      numberId: 6,
      address: '+13125550108',
      local: '(312) 555-0108',
      international: '+1 312-555-0108',
      preferred: false,
      others: ['Otto Lund'],
      allowed: [],
      state: 'GOOD',
    },
  ],
  work: {
    appointments: [],
    jobs: [{ id: 2, customerId: 3, what: 'bilge pump', standing: 'waiting for parts', state: 'OPEN', version: 1 }],
  },
};

/** What customers can be told apart by. */
export const customerTerms = {
  canCheckNumbers: false,
  sites: [{ id: 1, name: 'North Dock' }],
  kinds: ['Regular'],
  lists: [{ id: 8, name: 'Outer berths', size: 2 }],
  details: [{ id: 1, name: 'Boat', type: 'TEXT', choices: '', place: 1, retired: false, version: 0 }],
};
