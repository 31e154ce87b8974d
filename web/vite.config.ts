import react from '@vitejs/plugin-react';
import { compression } from 'vite-plugin-compression2';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  // What is sent at first is small: packed as tightly as it goes, once, while it is built.
  plugins: [react(), compression({ algorithms: ['brotliCompress'], include: /\.(js|css)$/ })],
  server: { proxy: { '/api': 'http://localhost:8484' } },
  build: { chunkSizeWarningLimit: 900 },
  // A slow machine takes seconds over a dialog full of keys; the limit is for what hangs.
  test: { setupFiles: 'src/testSetup.ts', testTimeout: 30_000 },
});
