import { defaultServerConditions, defineConfig } from 'vite'

/** The server as one program, with core and contract in it; packages stay where npm put them. */
export default defineConfig({
  ssr: {
    noExternal: /^@yew-basin\//,
    resolve: { conditions: ['source', ...defaultServerConditions] },
  },
  build: {
    ssr: true,
    target: 'node20',
    sourcemap: true,
    rollupOptions: {
      input: { main: 'src/main.ts', 'prepare-main': 'src/db/prepare-main.ts' },
    },
  },
})
