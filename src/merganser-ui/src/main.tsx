import './app/fonts.css';
import './app/tokens.css';
import './app/reset.css';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from '@mui/material/styles';
import { notifyManager, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { newQueries } from './api/newQueries';
import { keepForLater } from './api/keepForLater';
import { openOutbox } from './api/outbox';
import { fetchTheRest, readAhead } from './app/ahead';
import { App } from './app/App';
import { savedTheme, theme, wearTheme } from './parts/theme';

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
const cache = createCache({ key: 'm', nonce, prepend: true });
const queries = newQueries();
// An answer is drawn at once, not after a timer.
notifyManager.setScheduler(queueMicrotask);
wearTheme(savedTheme());
void openOutbox();
keepForLater();

const root = createRoot(document.getElementById('root')!);
const draw = () =>
  root.render(
    <StrictMode>
      <CacheProvider value={cache}>
        <ThemeProvider theme={theme}>
          <QueryClientProvider client={queries}>
            <BrowserRouter useTransitions={false}>
              <App />
            </BrowserRouter>
          </QueryClientProvider>
        </ThemeProvider>
      </CacheProvider>
    </StrictMode>,
  );
void readAhead(queries, window.location).then(draw).then(fetchTheRest);
