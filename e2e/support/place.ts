/** Where the tests' server listens and which browser drives them. */
export const PORT = 5899
export const CHROMIUM = '/usr/bin/chromium'
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
