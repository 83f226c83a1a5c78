import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { isOpenPage } from '@eurhythm/contract/openPages';
import { queries, queryClient } from './server/queries.ts';
import { openSync } from './sync/opened.ts';
import { router } from './app/router.tsx';
import './ui/theme/base.css';

// What the first page shows is asked for while the rest of it is read.
if (!isOpenPage(location.pathname)) void queryClient.prefetchQuery(queries.gym());
if (location.pathname === '/') void queryClient.prefetchQuery(queries.today());

// Drafts and waiting writes are at hand before the first page is drawn.
await openSync();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
