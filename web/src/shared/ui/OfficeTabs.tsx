import { PlaceTabs } from './PlaceTabs';

const PLACES = [
  ['/office', 'Now'],
  ['/office/reports', 'Reports'],
  ['/office/outage', 'After an outage'],
  ['/setup', 'Set-up'],
] as const;

/** The parts of the office, for leads. */
export function OfficeTabs() {
  return <PlaceTabs name="Office" places={PLACES} />;
}
