import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: '../Merganser.Web/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210' } },
  test: { environment: 'jsdom', include: ['src/**/*.test.{ts,tsx}'], testTimeout: 30_000 },
});
