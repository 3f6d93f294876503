import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import './styles.css';
import { keepFocus } from './parts/keptFocus';
import { fitPrint } from './parts/fitPrint';
import { BuildPage } from './shell/BuildPage';
import { CrashedBuild, CrashedPage, CrashedStation } from './shell/CrashedBuild';
import { STATIONS } from './stations/stations';
import { Gate } from './door/Gate';
import { WorkshopPage } from './workshop/WorkshopPage';
import { LostPage } from './parts/LostPage';

/** A view that could not be fetched fails where it would stand, so that its boundary tells of it. */
const failing = (error: unknown) => ({
  Component: (): never => {
    throw error;
  },
});

const router = createBrowserRouter([
  { path: '/', element: <WorkshopPage />, errorElement: <CrashedPage /> },
  {
    path: '/keeping',
    lazy: () =>
      import('./keeping/KeepingPage').then(({ KeepingPage }) => ({ Component: KeepingPage }), failing),
    errorElement: <CrashedPage />,
    hydrateFallbackElement: <p className="p-10 text-quiet">Fetching…</p>,
  },
  {
    path: '/builds/:id',
    element: <BuildPage />,
    errorElement: <CrashedBuild />,
    hydrateFallbackElement: <p className="p-10 text-quiet">Fetching the build…</p>,
    children: [
      { index: true, element: <Navigate to="stance" replace /> },
      // Where the revisions were before there was a log.
      { path: 'history', element: <Navigate to="../log?show=revisions" relative="path" replace /> },
      ...STATIONS.map(({ id, load }) => ({
        path: id,
        lazy: () => load().catch(failing),
        errorElement: <CrashedStation />,
      })),
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
      <Gate>
        <RouterProvider router={router} />
      </Gate>
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
