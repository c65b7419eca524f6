import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [laravel({ input: 'resources/js/app/main.tsx' }), react()],
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
});
