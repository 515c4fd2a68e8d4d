import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import react from '@vitejs/plugin-react';
import { patchCssModules } from 'vite-css-modules';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** A class is named after its file and itself, so that the page says where its look comes from. */
const scopedName = (name: string, file: string) =>
  `${file
    .split('/')
    .at(-1)!
    .replace(/\.module\.css.*$/, '')}-${name}`;

/** The worker that keeps our own files for a reload without the server: it knows all that was built. */
const worker: Plugin = {
  name: 'worker',
  apply: 'build',
  generateBundle(_, bundle) {
    const files = Object.keys(bundle)
      .filter((name) => name.startsWith('assets/'))
      .map((name) => `/${name}`)
      .sort();
    const source = readFileSync(new URL('worker/sw.js', import.meta.url), 'utf8')
      .replace('= __FILES__', `= ${JSON.stringify(files)}`)
      .replace('__HASH__', createHash('sha256').update(files.join()).digest('hex').slice(0, 12));
    this.emitFile({ type: 'asset', fileName: 'sw.js', source });
  },
};

/** The letters are fetched with the page, not when the first words want them: nothing shifts when they come. */
const letters: Plugin = {
  name: 'letters',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((name) => name.endsWith('.woff2'))
        .map((name) => ({
          tag: 'link',
          attrs: { rel: 'preload', href: `/${name}`, as: 'font', type: 'font/woff2', crossorigin: true },
          injectTo: 'head-prepend' as const,
        })),
  },
};

export default defineConfig({
  plugins: [patchCssModules({ generateSourceTypes: true }), react(), letters, worker],
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
