/** How each place is fetched, by how its address begins. The person who signs in waits for none of them. */
export const places = {
  inbox: () => import('../features/inbox'),
  office: () => import('../features/office'),
  outage: () => import('../features/outage'),
  reports: () => import('../features/reports'),
  setup: () => import('../features/setup'),
  customers: () => import('../features/customers'),
  customerImport: () => import('../features/customer-import'),
  templates: () => import('../features/templates'),
  planned: () => import('../features/later'),
  history: () => import('../features/history'),
  me: () => import('../features/me'),
};

/** Fetches the place at an address beside the frame instead of after it. What cannot be fetched is said when it is drawn. */
export function fetchPlace(path: string): void {
  const [, first = ''] = path.split('/');
  const name = first === '' || first === 'identify' ? 'inbox' : first;
  if (Object.hasOwn(places, name)) places[name as keyof typeof places]().catch(() => undefined);
}
