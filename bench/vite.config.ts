import { defineConfig } from 'vite';

export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    target: 'node20',
    outDir: '.cache/bench',
    rolldownOptions: {
      input: {
        core: 'bench/core.ts',
        paper: 'bench/paper.ts',
        learn: 'bench/learn.ts',
        log: 'bench/log.ts',
        sitting: 'bench/sitting.ts',
        browser: 'bench/browser.ts',
        history: 'bench/history.ts',
        growth: 'bench/growth.ts',
        charts: 'bench/charts.ts',
      },
    },
  },
});
