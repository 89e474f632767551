import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  // Packed once, as well as it goes: not by the server each time it is asked.
  plugins: [
    react(),
    tailwindcss(),
    compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg|html)$/ }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 600,
    // How long a plugin took is nothing for whoever starts the program.
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4730' } },
});
