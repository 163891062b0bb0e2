import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue()],
  resolve: { conditions: ['azulejo-source', 'module', 'browser', 'production', 'import', 'default'] },
  worker: { format: 'es' },
  build: { target: 'es2023', assetsInlineLimit: 0, modulePreload: { polyfill: false } },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4680', changeOrigin: true, headers: { origin: 'http://127.0.0.1:4680' } } } },
});
