import { defineConfig } from 'vitest/config';

const common = { environment: 'node', testTimeout: 90_000 } as const;

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          ...common,
          name: 'core',
          include: ['src/core/**/*.test.ts'],
          // The core keeps nothing between two calls: its files may share what they have loaded.
          isolate: false,
        },
      },
      {
        test: {
          ...common,
          name: 'around it',
          include: ['src/!(core)/**/*.test.{ts,tsx}', 'scripts/**/*.test.ts', 'bench/**/*.test.ts'],
        },
      },
    ],
  },
});
