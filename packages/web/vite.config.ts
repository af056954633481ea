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

export default defineConfig({
  plugins: [react()],
  worker: { format: 'es', plugins: () => [icons()] },
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 2000 },
});
