import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // The server puts a fresh nonce where this placeholder stands (server/app.ts).
  html: { cspNonce: '__CSP_NONCE__' },
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    reportCompressedSize: false,
    chunkSizeWarningLimit: 700,
    // What the first view needs comes in one file: two dozen small ones took a tenth longer until a panel was there.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    // As server/app.ts sends them, for the memory that workers share.
    headers: { 'Cross-Origin-Opener-Policy': 'same-origin', 'Cross-Origin-Embedder-Policy': 'require-corp' },
  },
});
