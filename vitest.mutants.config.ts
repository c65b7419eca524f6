import { defineConfig } from 'vitest/config';

// Logic is held by its own tests; those of whole parts would only make each mutant slower.
export default defineConfig({ test: { include: ['resources/js/**/*.test.ts'], exclude: ['**/floors.test.ts'] } });
