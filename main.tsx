import { startApp } from './app/start.tsx'

startApp(document.getElementById('root')!, {
  buildSample: async (present) => (await import('./demo/index.ts')).buildSample(present),
})
