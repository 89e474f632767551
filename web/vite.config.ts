import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';

/**
 * Pages and workers are fetched while nobody waits for them: their functions are compiled there and then, beside the main thread, and
 * not one by one at the tap that opens them. The first screen is left as it is: of its functions most are never called.
 */
const compiledAhead = (of: 'pages' | 'worker'): Plugin => ({
  name: `compiled-ahead-${of}`,
  generateBundle(_, bundle) {
    for (const file of Object.values(bundle))
      if (file.type === 'chunk' && (of === 'worker' || !file.isEntry))
        file.code = `//# allFunctionsCalledOnLoad\n${file.code}`;
  },
});

export default defineConfig({
  // Packed once, as well as it goes: not by the server each time it is asked.
  plugins: [
    react(),
    tailwindcss(),
    compiledAhead('pages'),
    compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg|html)$/ }),
  ],
  worker: { format: 'es', plugins: () => [compiledAhead('worker')] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 600,
    // How long a plugin took is nothing for whoever starts the program.
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4730' } },
});
