import { fileURLToPath } from 'node:url'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  // Relative, so that the built app works from any folder of a static host; the server writes them out in full.
  base: './',
  build: {
    outDir: 'dist',
    target: 'es2022',
    // The preload polyfill would be a script of its own for browsers Brinvo does not run in.
    modulePreload: {
      polyfill: false,
      // The page names what it needs; a list of what each further screen needs would be 8 KB of names in the first view.
      resolveDependencies: (_file, deps, { hostType }) => (hostType === 'html' ? deps : []),
    },
    chunkSizeWarningLimit: 700,
    // What most screens share comes in one file: small files pack badly, and each is a request of its own. Words of signs and what
    // weighs evidence are shared by many screens too, but not needed by the first.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'shared',
              // What judges an entry comes once the first view stands; what courses are written with, water's log and the schemas' words come
              // with the screens that ask for them.
              test: /\/core\/(?!catalogue\/(sign-|handbook|daily-caps|courses\/(school-parts|plan-parts|plans|coverage|wants)|treatments\/(sensitivities|interactions|tank-limits|residues))|evidence|numbers\/(median|typed)|schema\/|courses\/(passport|board|outlook\/restocking)|water\/|transfer\/|readings\/raises|safety\/(?!guarded-kinds|met-copper|alarms|answers))/,
              minShareCount: 20,
            },
          ],
        },
      },
    },
  },
  // Every browser that this runs in has promises of its own: without the stand-in it is a KB less.
  // The router's package hands out its development build, with warnings that nobody sees here.
  resolve: {
    alias: [
      { find: 'localforage', replacement: 'localforage/dist/localforage.nopromises.min.js' },
      {
        find: /^react-router$/,
        replacement: fileURLToPath(new URL('node_modules/react-router/dist/production/index.mjs', import.meta.url)),
      },
    ],
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5821 },
  plugins: [
    react(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Brinvo',
        short_name: 'Brinvo',
        description: 'Quarantine, acclimation, diagnosis, dosing and treatment logs for aquariums at home',
        display: 'standalone',
        background_color: '#F7F5EF',
        theme_color: '#F7F5EF',
        icons: [{ src: 'icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: 'index.html',
        // The first visit's page too loads its further screens from the offline copy, without being opened again.
        clientsClaim: true,
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
})
