import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

/**
 * What every page needs is one file, and what a course's home needs beside that is another, each with all that it
 * imports: left alone, the bundler makes sixty small ones of them, and on a phone each has its way there and back.
 */
const CHUNKS = [
  {
    name: 'first',
    priority: 2,
    test: /\/src\/(app\/(App\.vue|router\.ts)|words\/i18n\.ts|theme\/vuetify\.ts)$/,
  },
  {
    name: 'course',
    priority: 1,
    test: /\/src\/(learner\/(course\/(CourseFace|VisitForm)|shell\/CourseFrame)|ui\/frame\/(AppBar|LoadState))\.vue$/,
  },
];

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
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    manifest: true,
    sourcemap: false,
    rolldownOptions: { output: { codeSplitting: { groups: CHUNKS } } },
  },
  server: {
    host: '127.0.0.1',
    port: 4601,
    strictPort: true,
    proxy: { '/api': { target: process.env['ITINERARY_API'] ?? 'http://127.0.0.1:4600' } },
  },
});
