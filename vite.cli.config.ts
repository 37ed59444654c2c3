import { defineConfig } from 'vite';

/** The command line in one piece, as scripts of which the engine's own compiled form can be kept: see `bin/built.mjs`. */
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
      output: { format: 'cjs', entryFileNames: '[name].cjs', chunkFileNames: 'assets/[name]-[hash].cjs' },
    },
  },
});
