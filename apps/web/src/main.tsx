import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { queryClient } from './server/queries.ts';
import { openSync } from './sync/opened.ts';
import { router } from './app/router.tsx';
import './ui/base.css';

// Drafts and waiting writes are at hand before the first page is drawn.
await openSync();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
