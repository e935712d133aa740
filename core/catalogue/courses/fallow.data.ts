import type { Definition } from './definition.ts'

const fallow = (id: string, days: number, name: string, treats: readonly string[], why: string): Definition => ({
  id,
  kind: 'fallow',
  name,
  what: `No fish for ${days} whole days, so that what needs one dies out. ${why}`,
  treats,
  roles: [{ role: 'main', label: 'Tank', hint: 'a display whose fish are out, or a tub of corals and invertebrates', must: true }],
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
    { id: 'new-fish', role: 'event', when: { judged: 'new-fish' }, says: 'a fish was in the water' },
    { id: 'cross-contact', role: 'event', when: { judged: 'cross-contact' }, says: 'fish water, a snail or a plug came in' },
    { id: 'new-wet-item', role: 'event', when: { judged: 'new-wet-item' }, says: 'an animal came in that was not quarantined' },
  ],
  handling: 0,
  restore: [],
  cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant.'],
  source: `quarantine.md 7.5, ${id}`,
})

/** Displays and tubs without fish: quarantine.md 7.5. */
export const FALLOW_COURSES: readonly Definition[] = [
  fallow('fallow-76', 76, '76 days without fish', ['marine-ich', 'marine-velvet'], 'The longest cyst seen took 72 days; four more for what swam off late.'),
  fallow('fallow-45', 45, '45 days without fish', ['marine-ich', 'marine-velvet'], 'Warm, 27 to 28 °C: covers the usual hatch with a margin; a rare late cyst stays possible.'),
  fallow('fallow-velvet', 45, '45 days without fish, velvet only', ['marine-velvet'], 'Far shorter than ich when warm.'),
  fallow('fallow-brook', 45, '45 days without fish, brooklynella', ['brooklynella'], 'How long it lives off a fish is not known.'),
]
