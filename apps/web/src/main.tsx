import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import './styles.css';
import { BuildPage } from './editor/BuildPage';
import { StanceStation } from './stations/stance/StanceStation';
import { TubesStation } from './stations/tubes/TubesStation';
import { JointsStation } from './stations/joints/JointsStation';
import { PatternsStation } from './stations/patterns/PatternsStation';
import { FixtureStation } from './stations/fixture/FixtureStation';
import { HistoryStation } from './stations/history/HistoryStation';
import { WorkshopPage } from './workshop/WorkshopPage';
import { LostPage } from './parts/LostPage';

const router = createBrowserRouter([
  { path: '/', element: <WorkshopPage /> },
  {
    path: '/builds/:id',
    element: <BuildPage />,
    children: [
      { index: true, element: <Navigate to="stance" replace /> },
      { path: 'stance', element: <StanceStation /> },
      { path: 'tubes', element: <TubesStation /> },
      { path: 'joints', element: <JointsStation /> },
      { path: 'patterns', element: <PatternsStation /> },
      { path: 'fixture', element: <FixtureStation /> },
      { path: 'history', element: <HistoryStation /> },
    ],
  },
  { path: '*', element: <LostPage /> },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

createRoot(document.getElementById('root')!).render(
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
