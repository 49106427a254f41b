import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false,
      manifest: {
        name: 'Upper Still',
        short_name: 'Upper Still',
        description: 'Field book, bench and long record of people who watch lakes and coasts.',
        display: 'standalone',
        start_url: '.',
        background_color: '#F7F3EA',
        theme_color: '#F7F3EA',
        icons: [
          { src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        ],
      },
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm,json}'],
        // The WebAssembly runtime is larger than the default limit; without it nothing computes offline.
        maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
        dontCacheBustURLsMatching: /-[\w-]{8}\.(?:js|css|woff2)$|\.[0-9a-z]{10}\.(?:js|wasm)$/,
      },
    }),
  ],
  worker: { format: 'es' },
  // Files find each other wherever the application stands; the page that loads them is told by the server.
  experimental: { renderBuiltUrl: (_, { hostType }) => (hostType === 'html' ? undefined : { relative: true }) },
  build: { outDir: '../src/UpperStill.Server/wwwroot', emptyOutDir: true, target: 'es2022', assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
});
