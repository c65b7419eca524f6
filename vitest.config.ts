import { defineConfig } from 'vitest/config';

// Beside the tests of the server a part may be slow to be drawn; no test of it is about time.
export default defineConfig({ test: { include: ['resources/js/**/*.test.{ts,tsx}'], testTimeout: 60_000, hookTimeout: 60_000 } });
