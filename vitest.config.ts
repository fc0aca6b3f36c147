import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: { name: 'unit', include: ['src/{core,devices,ui,workers}/**/*.test.ts'], testTimeout: 60_000 },
      },
      {
        resolve: { alias },
        test: {
          name: 'views',
          include: ['src/ui/**/*.test.tsx'],
          environment: 'happy-dom',
          testTimeout: 30_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          include: ['src/server/**/*.test.ts', 'scripts/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
