import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defaultClientConditions, defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), tailwindcss()],
  resolve: { conditions: ['source', ...defaultClientConditions] },
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 700, assetsInlineLimit: 0 },
  server: {
    host: '127.0.0.1',
    port: 5180,
    proxy: { '/api': { target: `http://127.0.0.1:${process.env.YEW_PORT ?? '4181'}` } },
  },
})
