import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } } },
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  build: { chunkSizeWarningLimit: 900 },
  // a busy machine may take seconds to draw a page
  // one page for all files: each test takes away what it put there
  test: { environment: 'jsdom', globals: false, isolate: false, testTimeout: 30_000 },
});
