import type { Definition, Rule } from './definition.ts'

/** What sets days without fish back, quarantine.md 7.4 and 7.5. */
export const FISHLESS_EVENTS: readonly Rule[] = [
  { id: 'new-fish', role: 'event', when: { judged: 'new-fish' }, says: 'a fish was in the water' },
  { id: 'cross-contact', role: 'event', when: { judged: 'cross-contact' }, says: 'fish water, a wet tool, a snail or a plug came in' },
  { id: 'new-wet-item', role: 'event', when: { judged: 'new-wet-item' }, says: 'an animal came in that was not quarantined' },
]

const fallow = (id: string, days: number, name: string, treats: readonly string[]): Definition => ({
  id,
  kind: 'fallow',
  name,
  treats,
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs: [],
  products: [],
  options: [],
  days,
  ends: 'count',
  lead: 'fishless',
  tracks: [{ id: 'fishless', kind: 'hold', by: 'no-fish', name: 'days without fish', days }],
  steps: [
    {
      id: 'feed',
      title: 'Feed the filter bacteria',
      act: 'feed',
      due: { by: 'ghost-feed' },
      how: 'A tiny pinch of food in a reef; without corals ammonium chloride to at most 0.5 mg/L total ammonia.',
    },
    { id: 'close', title: 'Finish the days without fish', act: 'close', due: { by: 'close-count' } },
  ],
  rules: [
    { id: 'full', role: 'hard', when: { track: 'fishless', is: 'full' }, says: `${days} whole days without fish` },
    ...FISHLESS_EVENTS,
  ],
  handling: 0,
  restore: [],
})

/** Displays and tubs without fish: quarantine.md 7.5. */
export const FALLOW_COURSES: readonly Definition[] = [
  fallow('fallow-76', 76, '76 days without fish', ['marine-ich', 'marine-velvet']),
  fallow('fallow-45', 45, '45 days without fish', ['marine-ich', 'marine-velvet']),
  fallow('fallow-velvet', 45, '45 days without fish, velvet only', ['marine-velvet']),
  fallow('fallow-brook', 45, '45 days without fish, brooklynella', ['brooklynella']),
]
