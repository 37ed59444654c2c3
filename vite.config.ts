import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const require = createRequire(import.meta.url);
// The package's browser build wants a document; workers have none.
const entities = join(dirname(require.resolve('decode-named-character-reference')), 'index.js');

export default defineConfig({
  root: 'src/web',
  plugins: [react(), tailwindcss()],
  resolve: { alias: { 'decode-named-character-reference': entities } },
  worker: { format: 'es' },
  build: {
    outDir: '../../dist/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    manifest: true,
    chunkSizeWarningLimit: 1200,
  },
});
