import react from '@vitejs/plugin-react';
import { patchCssModules } from 'vite-css-modules';
import { defineConfig } from 'vitest/config';

/** A class is named after its file and itself, so that the page says where its look comes from. */
const scopedName = (name: string, file: string) =>
  `${file
    .split('/')
    .at(-1)!
    .replace(/\.module\.css.*$/, '')}-${name}`;

export default defineConfig({
  plugins: [patchCssModules({ generateSourceTypes: true }), react()],
  css: { modules: { generateScopedName: scopedName } },
  build: {
    outDir: '../Merganser.Web/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    target: 'es2022',
  },
  server: {
    proxy: { '/api': 'http://127.0.0.1:5210', '/openapi': 'http://127.0.0.1:5210', '/health': 'http://127.0.0.1:5210' },
  },
  test: {
    environment: 'jsdom',
    isolate: false,
    include: ['src/**/*.test.{ts,tsx}'],
    testTimeout: 30_000,
    css: { modules: { classNameStrategy: 'non-scoped' } },
  },
});
