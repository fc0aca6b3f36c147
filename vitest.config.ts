import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: ['src/{core,devices,ui,words,workers}/**/*.test.ts'],
          // Functions without state: files share what they import.
          isolate: false,
          // Enough for a hang to be told from a machine that is busy with something else.
          testTimeout: 240_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'views',
          include: ['src/ui/**/*.test.tsx'],
          environment: 'happy-dom',
          testTimeout: 90_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          include: ['src/server/**/*.test.ts', 'scripts/**/*.test.ts'],
          // Enough for a hang to be told from a machine that is busy with something else.
          testTimeout: 180_000,
          hookTimeout: 240_000,
          expect: { poll: { timeout: 60_000, interval: 10 } },
        },
      },
    ],
  },
});
