import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  server: { proxy: { '/api': 'http://localhost:8484' } },
  build: { chunkSizeWarningLimit: 900 },
  // A slow machine takes seconds over a dialog full of keys; the limit is for what hangs.
  test: { setupFiles: 'src/testSetup.ts', testTimeout: 30_000 },
});
