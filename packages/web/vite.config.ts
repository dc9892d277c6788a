import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue()],
  define: {
    __VUE_OPTIONS_API__: 'true',
    __VUE_PROD_DEVTOOLS__: 'false',
    __VUE_I18N_FULL_INSTALL__: 'false',
    __VUE_I18N_LEGACY_API__: 'false',
    __INTLIFY_PROD_DEVTOOLS__: 'false',
  },
  optimizeDeps: {
    exclude: ['vuetify'],
    include: ['zod', 'temporal-polyfill', '@tiptap/vue-3', '@tiptap/starter-kit'],
  },
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022', manifest: true, sourcemap: false },
  server: {
    host: '127.0.0.1',
    port: 4601,
    strictPort: true,
    proxy: { '/api': { target: process.env['ITINERARY_API'] ?? 'http://127.0.0.1:4600' } },
  },
});
