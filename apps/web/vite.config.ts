import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1200,
    rolldownOptions: {
      output: {
        // What every page needs comes in few files: a browser fetches six at a time.
        codeSplitting: {
          groups: [
            {
              name: 'react',
              test: /node_modules\/(react|react-dom|react-router|scheduler|@tanstack|@radix-ui|radix-ui|sonner|zustand|lucide-react|react-hotkeys-hook)\//,
            },
            { name: 'core', test: /packages\/(core|format)\// },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
});
