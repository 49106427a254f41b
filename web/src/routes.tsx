import { createRootRoute, createRoute, createRouter, lazyRouteComponent, redirect } from '@tanstack/react-router';
import { home } from './api/home';
import { type View, viewIn } from './record/views';
import { Page } from './ui/Page';
import { PageFault } from './ui/PageFault';
import { StartPage } from './water/StartPage';
import { StationsPage } from './water/StationsPage';
import type { StepName } from './water/steps';
import { VisitPage } from './water/VisitPage';

const root = createRootRoute({
  component: Page,
  notFoundComponent: () => (
    <div className="p-6">
      <h1 className="text-2xl">There is no such page</h1>
      <p className="mt-2">
        <a href={home.href}>To the stations</a>
      </p>
    </div>
  ),
});

const stations = createRoute({ getParentRoute: () => root, path: '/', component: StationsPage });
const start = createRoute({ getParentRoute: () => root, path: '/start/$station', component: StartPage });

const season = createRoute({
  getParentRoute: () => root,
  path: '/season',
  component: lazyRouteComponent(() => import('./season/SeasonPage'), 'SeasonPage'),
});
const prepare = createRoute({
  getParentRoute: () => root,
  path: '/prepare',
  component: lazyRouteComponent(() => import('./prepare/PreparePage'), 'PreparePage'),
});
const outing = createRoute({
  getParentRoute: () => root,
  path: '/prepare/$day/$water',
  component: lazyRouteComponent(() => import('./prepare/OutingPage'), 'OutingPage'),
});
const labels = createRoute({
  getParentRoute: () => root,
  path: '/prepare/$day/$water/labels',
  component: lazyRouteComponent(() => import('./prepare/LabelsPage'), 'LabelsPage'),
});
const sheets = createRoute({
  getParentRoute: () => root,
  path: '/prepare/$day/$water/sheets',
  component: lazyRouteComponent(() => import('./prepare/SheetsPage'), 'SheetsPage'),
});
const setup = createRoute({
  getParentRoute: () => root,
  path: '/setup',
  component: lazyRouteComponent(() => import('./setup/SetupPage'), 'SetupPage'),
});
const setupFirst = createRoute({
  getParentRoute: () => setup,
  path: '/',
  beforeLoad: () => {
    throw redirect({ to: '/setup/waters' });
  },
});
const setupWaters = createRoute({
  getParentRoute: () => setup,
  path: '/waters',
  component: lazyRouteComponent(() => import('./setup/WatersPage'), 'WatersPage'),
});
const setupWater = createRoute({
  getParentRoute: () => setup,
  path: '/waters/$water',
  component: lazyRouteComponent(() => import('./setup/WaterPage'), 'WaterPage'),
});
const setupProgrammes = createRoute({
  getParentRoute: () => setup,
  path: '/programmes',
  component: lazyRouteComponent(() => import('./setup/ProgrammesPage'), 'ProgrammesPage'),
});
const setupLaboratory = createRoute({
  getParentRoute: () => setup,
  path: '/laboratory',
  component: lazyRouteComponent(() => import('./setup/LaboratoryPage'), 'LaboratoryPage'),
});
const setupKit = createRoute({
  getParentRoute: () => setup,
  path: '/kit',
  component: lazyRouteComponent(() => import('./kit/KitPage'), 'KitPage'),
});
const setupData = createRoute({
  getParentRoute: () => setup,
  path: '/data',
  component: lazyRouteComponent(() => import('./setup/DataPage'), 'DataPage'),
});
const setupTable = createRoute({
  getParentRoute: () => setup,
  path: '/data/table',
  component: lazyRouteComponent(() => import('./imports/TablePage'), 'TablePage'),
});
const setupPeople = createRoute({
  getParentRoute: () => setup,
  path: '/people',
  component: lazyRouteComponent(() => import('./people/PeoplePage'), 'PeoplePage'),
});

const bench = createRoute({
  getParentRoute: () => root,
  path: '/bench',
  component: lazyRouteComponent(() => import('./bench/BenchPage'), 'BenchPage'),
});
const filter = createRoute({
  getParentRoute: () => root,
  path: '/bench/$visit/$sample',
  component: lazyRouteComponent(() => import('./bench/FilterPage'), 'FilterPage'),
});
const ledger = createRoute({
  getParentRoute: () => root,
  path: '/ledger',
  component: lazyRouteComponent(() => import('./ledger/LedgerPage'), 'LedgerPage'),
});
const sample = createRoute({
  getParentRoute: () => root,
  path: '/ledger/sample/$number',
  component: lazyRouteComponent(() => import('./ledger/SamplePage'), 'SamplePage'),
});
const handOver = createRoute({
  getParentRoute: () => root,
  path: '/ledger/hand-over',
  component: lazyRouteComponent(() => import('./ledger/HandOverPage'), 'HandOverPage'),
  validateSearch: (search: Record<string, unknown>): { pick?: string[] } =>
    Array.isArray(search.pick) ? { pick: search.pick.filter((one) => typeof one === 'string') } : {},
});
const manifest = createRoute({
  getParentRoute: () => root,
  path: '/ledger/manifest/$id',
  component: lazyRouteComponent(() => import('./ledger/ManifestPage'), 'ManifestPage'),
});
const measure = createRoute({
  getParentRoute: () => root,
  path: '/ledger/manifest/$id/measure',
  component: lazyRouteComponent(() => import('./laboratory/MeasurePage'), 'MeasurePage'),
});
const results = createRoute({
  getParentRoute: () => root,
  path: '/ledger/results',
  component: lazyRouteComponent(() => import('./laboratory/ResultsPage'), 'ResultsPage'),
});

const welcome = createRoute({
  getParentRoute: () => root,
  path: '/welcome',
  component: lazyRouteComponent(() => import('./people/WelcomePage'), 'WelcomePage'),
});

const account = createRoute({
  getParentRoute: () => root,
  path: '/account',
  component: lazyRouteComponent(() => import('./people/AccountPage'), 'AccountPage'),
});

const visit = createRoute({
  getParentRoute: () => root,
  path: '/visit/$visit',
  component: VisitPage,
  validateSearch: (search: Record<string, unknown>): { step?: StepName } =>
    typeof search.step === 'string' && /^[a-z][a-z0-9-]{0,39}$/.test(search.step) ? { step: search.step } : {},
});
const answers = createRoute({
  getParentRoute: () => root,
  path: '/record',
  component: lazyRouteComponent(() => import('./record/AnswersPage'), 'AnswersPage'),
});
export const record = createRoute({
  getParentRoute: () => root,
  path: '/record/$station',
  component: lazyRouteComponent(() => import('./record/RecordPage'), 'RecordPage'),
  validateSearch: (search: Record<string, unknown>): { visit?: string; of?: View } => ({
    ...(typeof search.visit === 'string' && { visit: search.visit }),
    ...viewIn(search),
  }),
});
const report = createRoute({
  getParentRoute: () => root,
  path: '/record/report/$water',
  component: lazyRouteComponent(() => import('./record/ReportPage'), 'ReportPage'),
  validateSearch: (search: Record<string, unknown>): { year?: number } =>
    Number.isInteger(search.year) ? { year: search.year as number } : {},
});
const beside = createRoute({
  getParentRoute: () => root,
  path: '/record/beside',
  component: lazyRouteComponent(() => import('./record/BesidePage'), 'BesidePage'),
  validateSearch: (search: Record<string, unknown>): { of?: View; year?: number } => ({
    ...viewIn(search),
    ...(Number.isInteger(search.year) && { year: search.year as number }),
  }),
});
const summary = createRoute({
  getParentRoute: () => root,
  path: '/record/summary',
  component: lazyRouteComponent(() => import('./record/SummaryPage'), 'SummaryPage'),
  validateSearch: (search: Record<string, unknown>): { year?: number } =>
    Number.isInteger(search.year) ? { year: search.year as number } : {},
});
const workings = createRoute({
  getParentRoute: () => root,
  path: '/workings',
  component: lazyRouteComponent(() => import('./workings/WorkingsPage'), 'WorkingsPage'),
  validateSearch: (search: Record<string, unknown>): { of?: string } => (typeof search.of === 'string' ? { of: search.of } : {}),
});
const reviews = createRoute({
  getParentRoute: () => root,
  path: '/review',
  component: lazyRouteComponent(() => import('./review/ReviewsPage'), 'ReviewsPage'),
});
const review = createRoute({
  getParentRoute: () => root,
  path: '/review/$visit',
  component: lazyRouteComponent(() => import('./review/ReviewPage'), 'ReviewPage'),
});

export const router = createRouter({
  basepath: home.pathname,
  defaultErrorComponent: PageFault,
  routeTree: root.addChildren([
    stations,
    start,
    visit,
    answers,
    record,
    report,
    beside,
    summary,
    reviews,
    review,
    workings,
    welcome,
    account,
    season,
    prepare,
    outing,
    labels,
    sheets,
    bench,
    filter,
    ledger,
    sample,
    handOver,
    manifest,
    measure,
    results,
    setup.addChildren([
      setupFirst,
      setupWaters,
      setupWater,
      setupProgrammes,
      setupKit,
      setupLaboratory,
      setupPeople,
      setupData,
      setupTable,
    ]),
  ]),
  defaultPreload: false,
});

declare module '@tanstack/react-router' {
  interface Register {
    router: typeof router;
  }
}
