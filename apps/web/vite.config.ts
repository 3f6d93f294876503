import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 1200 },
  worker: { format: 'es' },
});
