/** Starts the application. */
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { applyMode } from '../ui/color-mode.ts';
import '../ui/fonts.css';
import '../ui/other-scripts.css';
import { system } from '../ui/system.ts';
import { DeckFrame } from './deck-frame.tsx';
import { Lost } from './lost.tsx';
import { FIRST_STATION, STATIONS } from './stations.ts';

applyMode();
matchMedia('(prefers-color-scheme: dark)').addEventListener('change', applyMode);

const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
const styles = createCache({ key: 'a', ...(nonce ? { nonce } : {}) });

const component = (load: () => Promise<ComponentType>) => async () => ({ Component: await load() });

const router = createBrowserRouter([
  {
    path: '/',
    lazy: component(async () => (await import('../stations/decks/decks-page.tsx')).DecksPage),
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
  },
  {
    path: '/decks/:id',
    Component: DeckFrame,
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: component(STATIONS.find(({ path }) => path === FIRST_STATION)!.load) },
      ...STATIONS.map(({ path, pages, load }) => ({
        path: pages === true ? `${path}/*` : path,
        lazy: component(load),
      })),
      {
        path: 'edition',
        lazy: component(async () => (await import('../stations/edition/edition-station.tsx')).EditionStation),
      },
    ],
  },
  {
    path: '/decks/:id/present',
    lazy: component(async () => (await import('../present/speaker-page.tsx')).SpeakerPage),
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
  },
  {
    path: '/decks/:id/rehearse',
    lazy: component(async () => (await import('../present/speaker-page.tsx')).RehearsalPage),
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
  },
  {
    path: '/decks/:id/audience',
    lazy: component(async () => (await import('../present/audience-page.tsx')).AudiencePage),
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
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
