import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import './styles.css';
import { keepFocus } from './parts/keptFocus';
import { fitPrint } from './parts/fitPrint';
import { BuildPage } from './editor/BuildPage';
import { StanceStation } from './stations/stance/StanceStation';
import { WorkshopPage } from './workshop/WorkshopPage';
import { LostPage } from './parts/LostPage';

const router = createBrowserRouter([
  { path: '/', element: <WorkshopPage /> },
  {
    path: '/builds/:id',
    element: <BuildPage />,
    hydrateFallbackElement: <p className="p-10 text-quiet">Fetching the build…</p>,
    children: [
      { index: true, element: <Navigate to="stance" replace /> },
      { path: 'stance', element: <StanceStation /> },
      {
        path: 'brief',
        lazy: () =>
          import('./stations/brief/BriefStation').then(({ BriefStation }) => ({ Component: BriefStation })),
      },
      {
        path: 'seat',
        lazy: () =>
          import('./stations/seat/SeatStation').then(({ SeatStation }) => ({ Component: SeatStation })),
      },
      {
        path: 'tubes',
        lazy: () =>
          import('./stations/tubes/TubesStation').then(({ TubesStation }) => ({ Component: TubesStation })),
      },
      {
        path: 'joints',
        lazy: () =>
          import('./stations/joints/JointsStation').then(({ JointsStation }) => ({
            Component: JointsStation,
          })),
      },
      {
        path: 'patterns',
        lazy: () =>
          import('./stations/patterns/PatternsStation').then(({ PatternsStation }) => ({
            Component: PatternsStation,
          })),
      },
      {
        path: 'fixture',
        lazy: () =>
          import('./stations/fixture/FixtureStation').then(({ FixtureStation }) => ({
            Component: FixtureStation,
          })),
      },
      {
        path: 'history',
        lazy: () =>
          import('./stations/history/HistoryStation').then(({ HistoryStation }) => ({
            Component: HistoryStation,
          })),
      },
    ],
  },
  { path: '*', element: <LostPage /> },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

const root = document.getElementById('root')!;
keepFocus(root);
fitPrint();
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster
        position="bottom-center"
        toastOptions={{
          unstyled: true,
          classNames: {
            toast: 'flex items-center gap-4 border border-ink bg-ink text-paper px-4 py-3',
            actionButton: 'font-bold underline underline-offset-2',
          },
        }}
      />
    </QueryClientProvider>
  </StrictMode>,
);
