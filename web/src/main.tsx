import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router-dom';
import { App } from './app/App';
import './app/theme.scss';

const queries = new QueryClient({
  defaultOptions: {
    // the server may be this machine, which need not be on any network
    queries: { networkMode: 'always', retry: 1, refetchOnWindowFocus: true },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
