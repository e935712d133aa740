/** The screens there are, in the order of the work. */
export const SCREENS: readonly { path: string; name: string; what: string }[] = [
  { path: '/', name: 'Ledger', what: 'the days, tank by tank' },
  { path: '/tanks', name: 'Tanks', what: 'volume, residents, equipment, kits' },
  { path: '/arrivals', name: 'Arrivals', what: 'from the box at the door to the first meal' },
  { path: '/diagnose', name: 'Diagnose', what: 'what is seen, what it may be, how fast to act' },
  { path: '/courses', name: 'Courses', what: 'treatments over days, proven by readings' },
  { path: '/water', name: 'Water', what: 'readings, what is to be tested, trends' },
  { path: '/dose', name: 'Dose', what: 'every calculation on its own' },
  { path: '/shelf', name: 'Shelf', what: 'products by active ingredient' },
  { path: '/handbook', name: 'Handbook', what: 'the catalogue, each number with its source' },
  { path: '/records', name: 'Records', what: 'the journal out and in' },
]
