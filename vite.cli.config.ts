import { defineConfig } from 'vite';

/** The command line in one piece: without it every start would compile its sources anew. */
export default defineConfig({
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist/cli',
    emptyOutDir: true,
    // What is not there need not be parsed: half of a short run is that.
    minify: true,
    target: 'node20',
    copyPublicDir: false,
    rollupOptions: {
      input: { main: 'src/cli/main.ts', 'reading-thread': 'src/cli/reading-thread.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
});
