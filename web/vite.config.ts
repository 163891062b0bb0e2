import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import vue from '@vitejs/plugin-vue';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vite';

/** What a built file holds, as a browser checks it. */
const integrityOf = async (url: string): Promise<string> =>
  `sha384-${createHash('sha384')
    .update(await readFile(new URL(`./dist/${url}`, import.meta.url)))
    .digest('base64')}`;

export default defineConfig({
  plugins: [
    vue(),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      manifest: {
        name: 'Azulejo',
        short_name: 'Azulejo',
        description: 'Setouts, cuts and orders for tile installers',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f8fa',
        theme_color: '#f2c12e',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/mark-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: '/mark-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        // The one page stands for every address but those of the server.
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        // A file that somebody else answered in the server's place, such as a page to sign in, is not kept for ours.
        manifestTransforms: [
          async (entries) => ({
            manifest: await Promise.all(
              entries.map(async (entry) => (/\.(js|css)$/.test(entry.url) ? { ...entry, integrity: await integrityOf(entry.url) } : entry)),
            ),
          }),
        ],
        // A photo never changes at its address.
        runtimeCaching: [
          {
            urlPattern: /\/api\/jobs\/[^/]+\/photos\/[0-9a-f]{64}$/,
            handler: 'CacheFirst',
            options: {
              cacheName: 'photos',
              expiration: { maxEntries: 400 },
              cacheableResponse: { statuses: [200], headers: { 'x-photo': 'yes' } },
            },
          },
        ],
      },
    }),
  ],
  // The build names the release of the core; without a name, nothing is taken over from the server.
  define: { __BUILD__: JSON.stringify(new Date().toISOString()), __CORE__: JSON.stringify(process.env.AZULEJO_CORE ?? '') },
  resolve: { conditions: ['azulejo-source', 'module', 'browser', 'production', 'import', 'default'] },
  worker: { format: 'es' },
  build: { target: 'es2023', assetsInlineLimit: 0, modulePreload: { polyfill: false } },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4680', changeOrigin: true, headers: { origin: 'http://127.0.0.1:4680' } } } },
});
