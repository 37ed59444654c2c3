import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { translatedWords } from './scripts/words/translated-words.mjs';

const require = createRequire(import.meta.url);
// The package's browser build wants a document; workers have none.
const entities = join(dirname(require.resolve('decode-named-character-reference')), 'index.js');

/** A translation of the interface, where one is named: `WORDS=words/de.po npm start`. */
const words = process.env['WORDS'];
const translations = () => (words ? [translatedWords(words)] : []);

export default defineConfig({
  root: 'src/web',
  plugins: [...translations(), react(), tailwindcss()],
  resolve: { alias: { 'decode-named-character-reference': entities } },
  worker: { format: 'es', plugins: translations },
  build: {
    outDir: '../../dist/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    manifest: true,
    chunkSizeWarningLimit: 1200,
  },
});
