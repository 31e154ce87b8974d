import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  server: { proxy: { '/api': 'http://localhost:8484' } },
  build: { chunkSizeWarningLimit: 900 },
  test: { setupFiles: 'src/testSetup.ts' },
});
