import { loadGuard } from '../../app/safety/guard-when-idle.ts'

// A browser fetches what judges entries when it is idle; a test has it from its beginning.
beforeAll(async () => {
  await loadGuard()
})
