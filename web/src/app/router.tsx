import { createBrowserRouter, Navigate } from 'react-router';
import { NotFound } from './NotFound.tsx';
import { Shell } from './Shell.tsx';
import { importJobPage } from './jobPage.ts';
import { loadPhrases } from '../data/words.ts';

/** A page that says more than lists do: it stands when its words are there. */
const speaking = async <T,>(page: Promise<T>): Promise<T> => {
  const [loaded] = await Promise.all([page, loadPhrases()]);
  return loaded;
};

/** Every view has an address of its own; all but the frame are loaded when first wanted. */
export const router = createBrowserRouter([
  {
    // What a customer sees by a link: no frame, no sign-in.
    path: '/shared/:token',
    errorElement: <NotFound />,
    lazy: async () => ({
      Component: (await import('../features/report/SharedReportPage.tsx')).SharedReportPage,
    }),
  },
  {
    element: <Shell />,
    errorElement: <NotFound />,
    children: [
      { path: '/', element: <Navigate to="/jobs" replace /> },
      {
        path: '/jobs',
        lazy: async () => ({ Component: (await import('../features/job/JobListPage.tsx')).JobListPage }),
      },
      {
        path: '/jobs/:jobId',
        lazy: async () => ({ Component: (await speaking(importJobPage())).JobPage }),
      },
      {
        path: '/jobs/:jobId/logs',
        lazy: async () => ({
          Component: (await speaking(import('../features/readings/logs/LogDeskPage.tsx'))).LogDeskPage,
        }),
      },
      {
        path: '/jobs/:jobId/live',
        lazy: async () => ({ Component: (await speaking(import('../features/live/LivePage.tsx'))).LivePage }),
      },
      {
        path: '/jobs/:jobId/burn',
        lazy: async () => ({
          Component: (await speaking(import('../features/burn/run/BurnRunPage.tsx'))).BurnRunPage,
        }),
      },
      {
        path: '/jobs/:jobId/report',
        lazy: async () => ({
          Component: (await speaking(import('../features/report/ReportPage.tsx'))).ReportPage,
        }),
      },
      {
        path: '/fleet',
        lazy: async () => ({
          Component: (await speaking(import('../features/fleet/FleetPage.tsx'))).FleetPage,
        }),
      },
      {
        path: '/vehicles',
        lazy: async () => ({
          Component: (await speaking(import('../features/vehicles/VehicleListPage.tsx'))).VehicleListPage,
        }),
      },
      {
        path: '/vehicles/new',
        lazy: async () => ({
          Component: (await speaking(import('../features/vehicles/VehiclePage.tsx'))).NewVehiclePage,
        }),
      },
      {
        path: '/vehicles/:vehicleId',
        lazy: async () => ({
          Component: (await speaking(import('../features/vehicles/VehiclePage.tsx'))).VehiclePage,
        }),
      },
      {
        path: '/limits',
        lazy: async () => ({
          Component: (await speaking(import('../features/limits/LimitsPage.tsx'))).LimitsPage,
        }),
      },
      {
        path: '/headings',
        lazy: async () => ({
          Component: (await speaking(import('../features/readings/HeadingsPage.tsx'))).HeadingsPage,
        }),
      },
      {
        path: '/fluids',
        lazy: async () => ({
          Component: (await speaking(import('../features/fluids/FluidsPage.tsx'))).FluidsPage,
        }),
      },
      {
        path: '/learn',
        lazy: async () => ({
          Component: (await speaking(import('../features/learn/LearnPage.tsx'))).LearnPage,
        }),
      },
      {
        path: '/learn/:topic',
        lazy: async () => ({
          Component: (await speaking(import('../features/learn/TopicPage.tsx'))).TopicPage,
        }),
      },
      {
        path: '/account',
        lazy: async () => ({
          Component: (await speaking(import('../features/people/AccountPage.tsx'))).AccountPage,
        }),
      },
      {
        path: '/people',
        lazy: async () => ({
          Component: (await speaking(import('../features/people/PeoplePage.tsx'))).PeoplePage,
        }),
      },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
