import { lazy, type ReactElement } from 'react';
import { Navigate, type RouteObject } from 'react-router';
import { useMe } from '../shared/ui';
import { App } from './App';
import { NotHere, PageBroke, PlaceBroke } from './Broke';
import { places } from './places';

const Inbox = lazy(() => places.inbox().then((feature) => ({ default: feature.Inbox })));
const OfficePage = lazy(() => places.office().then((feature) => ({ default: feature.OfficePage })));
const OutagePage = lazy(() => places.outage().then((feature) => ({ default: feature.OutagePage })));
const ReportsPage = lazy(() => places.reports().then((feature) => ({ default: feature.ReportsPage })));
const SetUp = lazy(() => places.setup().then((feature) => ({ default: feature.SetUp })));
const CustomersPlace = lazy(() => places.customers().then((feature) => ({ default: feature.CustomersPlace })));
const CustomerPage = lazy(() => places.customers().then((feature) => ({ default: feature.CustomerPage })));
const ImportPage = lazy(() => places.customerImport().then((feature) => ({ default: feature.ImportPage })));
const TemplatesPlace = lazy(() => places.templates().then((feature) => ({ default: feature.TemplatesPlace })));
const PlannedPlace = lazy(() => places.planned().then((feature) => ({ default: feature.PlannedPlace })));
const HistoryPlace = lazy(() => places.history().then((feature) => ({ default: feature.HistoryPlace })));
const Me = lazy(() => places.me().then((feature) => ({ default: feature.Me })));

function InboxPlace({ toIdentify = false }: { toIdentify?: boolean }) {
  return <Inbox session={useMe()} toIdentify={toIdentify} />;
}

function AllThatWasSaid() {
  return <HistoryPlace session={useMe()} />;
}

function MyPlace() {
  return <Me session={useMe()} />;
}

/** Places that only leads have; for others there is nothing at their addresses. */
function LeadsPlace({ place }: { place: 'office' | 'reports' | 'outage' | 'setup' | 'import' }) {
  const me = useMe();
  if (!me.may.includes('LEAD')) return <NotHere />;
  if (place === 'import') return <ImportPage />;
  if (place === 'outage') return <OutagePage />;
  if (place === 'reports') return <ReportsPage session={me} />;
  return place === 'office' ? <OfficePage session={me} /> : <SetUp session={me} />;
}

const place = (path: string, element: ReactElement): RouteObject => ({ path, element, errorElement: <PlaceBroke /> });

/** Every address of the page, each with what is shown when it breaks. */
export const routes: RouteObject[] = [
  {
    path: '/',
    element: <App />,
    errorElement: <PageBroke />,
    children: [
      { index: true, element: <Navigate to="/inbox" replace /> },
      place('inbox/:id?', <InboxPlace />),
      place('identify/:id?', <InboxPlace toIdentify />),
      place('customers', <CustomersPlace />),
      place('customers/import', <LeadsPlace place="import" />),
      place('customers/:id', <CustomerPage />),
      place('templates/:id?', <TemplatesPlace />),
      place('history/:conversation?/:entry?', <AllThatWasSaid />),
      place('planned', <PlannedPlace />),
      place('me/*', <MyPlace />),
      place('office', <LeadsPlace place="office" />),
      place('office/reports', <LeadsPlace place="reports" />),
      place('office/outage', <LeadsPlace place="outage" />),
      place('setup/*', <LeadsPlace place="setup" />),
      place('invitation/:secret', <></>),
      place('*', <NotHere />),
    ],
  },
];
