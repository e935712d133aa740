import { existsSync } from 'node:fs'

/** Where the tests' server listens and which browser drives them. */
export const PORT = 5899
export const CHROMIUM = '/usr/bin/chromium'
const HEADLESS = '/usr/bin/chromium-headless-shell'
/** Debian's build of the same browser without a window, which needs two thirds of the time; the whole one where it is not installed. */
export const JOURNEY_BROWSER = existsSync(HEADLESS) ? HEADLESS : CHROMIUM
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** What the browser of a returning visitor holds: the sample household was chosen, so the first screen does not ask. */
export const sampleChosen = (origin: string) => ({
  cookies: [],
  origins: [{ origin, localStorage: [{ name: 'brinvo-which', value: 'sample' }] }],
})
