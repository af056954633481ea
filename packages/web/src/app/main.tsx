/** Starts the application. */
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { applyMode } from '../ui/color-mode.ts';
import '../ui/fonts.css';
import { system } from '../ui/system.ts';
import { DeckFrame } from './deck-frame.tsx';
import { Lost } from './lost.tsx';

applyMode();
matchMedia('(prefers-color-scheme: dark)').addEventListener('change', applyMode);

const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
const styles = createCache({ key: 'a', ...(nonce ? { nonce } : {}) });

const router = createBrowserRouter([
  {
    path: '/',
    lazy: async () => ({ Component: (await import('../stations/decks/decks-page.tsx')).DecksPage }),
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
  },
  {
    path: '/decks/:id',
    Component: DeckFrame,
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
    children: [
      {
        index: true,
        lazy: async () => ({ Component: (await import('../stations/slides/slides-station.tsx')).SlidesStation }),
      },
      {
        path: 'document',
        lazy: async () => ({ Component: (await import('../stations/document/document-station.tsx')).DocumentStation }),
      },
      { path: 'map', lazy: async () => ({ Component: (await import('../stations/map/map-station.tsx')).MapStation }) },
      {
        path: 'slides',
        lazy: async () => ({ Component: (await import('../stations/slides/slides-station.tsx')).SlidesStation }),
      },
      {
        path: 'edition',
        lazy: async () => ({ Component: (await import('../stations/edition/edition-station.tsx')).EditionStation }),
      },
      {
        path: 'look',
        lazy: async () => ({ Component: (await import('../stations/look/look-station.tsx')).LookStation }),
      },
      {
        path: 'check',
        lazy: async () => ({ Component: (await import('../stations/check/check-station.tsx')).CheckStation }),
      },
      {
        path: 'hand-over',
        lazy: async () => ({
          Component: (await import('../stations/hand-over/hand-over-station.tsx')).HandOverStation,
        }),
      },
    ],
  },
  { path: '*', Component: Lost },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <CacheProvider value={styles}>
      <ChakraProvider value={system}>
        <RouterProvider router={router} />
      </ChakraProvider>
    </CacheProvider>
  </StrictMode>,
);
