import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { brotliCompressSync } from 'node:zlib';
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

/** Each built file lies pressed beside itself, as small as it can be made: the server has nothing to press for a page. */
const pressed: Plugin = {
  name: 'pressed',
  apply: 'build',
  enforce: 'post',
  generateBundle: {
    order: 'post',
    handler(_, bundle) {
      for (const [fileName, file] of Object.entries(bundle))
        if (/^assets\/.*\.(js|css)$/.test(fileName))
          this.emitFile({
            type: 'asset',
            fileName: `${fileName}.br`,
            source: brotliCompressSync(file.type === 'chunk' ? file.code : file.source),
          });
    },
  },
};

export default defineConfig({
  plugins: [patchCssModules({ generateSourceTypes: true }), react(), letters, worker, pressed],
  css: { modules: { generateScopedName: scopedName } },
  build: {
    outDir: '../Merganser.Web/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    target: 'es2022',
    // Few files: each costs a slow processor more than what it saves, one for the looks, one for what stops share.
    cssCodeSplit: false,
    chunkSizeWarningLimit: 600,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], priority: 2 },
            { name: 'shared', minShareCount: 2, priority: 1 },
          ],
        },
      },
    },
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
