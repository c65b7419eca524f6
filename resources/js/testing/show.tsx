import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach } from 'vitest';
import { theme } from '../theme/theme';

// What is waited for comes, however busy the machine is.
configure({ asyncUtilTimeout: 20_000 });

afterEach(() => {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
});

/** Draws a part as it stands in the application: with the theme, an address, and questions that are asked once. */
export function show(part: ReactElement, address = '/') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  const router = createMemoryRouter([{ path: '*', element: part }], { initialEntries: [address] });
  const shown = render(
    <ThemeProvider theme={theme}>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeProvider>,
  );
  return { ...shown, router, client };
}
