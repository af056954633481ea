import react from '@vitejs/plugin-react';
import { createRequire } from 'node:module';
import { defineConfig, type Plugin } from 'vite';
import { iconList, type About, type Nodes } from './src/worker/icon-list.ts';

/** The list of icons is made when the application is built: the page gets what is kept of it. */
const icons = (): Plugin => ({
  name: 'icons',
  load(id) {
    if (!id.endsWith('/worker/icon-entries.ts')) return null;
    const require = createRequire(import.meta.url);
    const about = require('@tabler/icons/icons.json') as About;
    const nodes = require('@tabler/icons/tabler-nodes-outline.json') as Nodes;
    return `export const ICONS = JSON.parse(${JSON.stringify(JSON.stringify(iconList(about, nodes)))});`;
  },
});

/** Of the interface, seen at once everywhere; all others come when text needs them. */
const FIRST_FONTS =
  /^assets\/(?:IBMPlexSans_(?:400Regular|600SemiBold)|SourceSerif4_(?:400Regular|600SemiBold|700Bold|700Bold_Italic))-/;

/** Text that is drawn in one font first and in another then moves what stands around it. */
const fontsFirst = (): Plugin => ({
  name: 'fonts-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((name) => FIRST_FONTS.test(name))
        .map((name) => ({
          tag: 'link',
          injectTo: 'head' as const,
          attrs: { rel: 'preload', as: 'font', type: 'font/ttf', crossorigin: true, href: `/${name}` },
        })),
  },
});

export default defineConfig({
  plugins: [react(), fontsFirst()],
  worker: { format: 'es', plugins: () => [icons()] },
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 2000 },
});
