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
