import { DIP_PESTS } from '../corals/dip-pests.data.ts'
import { CORAL_DIPS } from '../corals/coral-dips.data.ts'
import type { Definition, Option, Rule, Step, Track } from './definition.ts'
import { FISHLESS_EVENTS, fishlessTrack, WARM_45, warmRules, warmSteps, type Warm } from './fallow.data.ts'
import { UNIVERSAL_STOP } from './plan-parts.ts'

const GEAR = 'Gloves and goggles for every cut and dip: zoanthids and their relatives can hold palytoxin. Never heat, scrub dry or blow on them; keep children and pets away.'

const PESTS: Option['choices'] = DIP_PESTS.map(({ id, label }) => ({ id, label }))

const PACE: Option = {
  id: 'pace',
  label: 'Pace of the dips',
  choices: [
    { id: 'by-maturity', label: 'by maturity' },
    { id: 'by-hatching', label: 'by hatching' },
  ],
}

const DIP: Option = {
  id: 'dip',
  label: 'Dipped in',
  choices: CORAL_DIPS.map(({ id, label }) => ({ id, label })),
}

const PRODUCTS: Definition['products'] = CORAL_DIPS.map(({ id, productKey, ingredient, label }) => ({
  dose: productKey,
  ingredient,
  label: `Dip: ${label}`,
  only: { option: 'dip', is: [id] },
}))

const dips: Track = { id: 'dips', kind: 'rounds', of: 'dip', name: 'clean dips' }

const CUT: Step = {
  id: 'step-1',
  title: 'Cut off plugs and dead bases, scrape and bin every egg',
  act: 'tick',
  due: { day: 0 },
  how: 'Photograph each coral first. All hosts or none. Dips kill no eggs: what is left on a plug hatches.',
  caution: GEAR,
}

const DIP_STEPS: readonly Step[] = [
  {
    id: 'dip',
    title: 'Dip all',
    act: 'bath',
    due: { by: 'dips' },
    how: 'Tub water of the same temperature and salinity. Baster hard over every coral, edges brushed, two rinse tubs. One piece tried first.',
  },
  {
    id: 'count',
    title: 'Count what came off, host by host',
    act: 'count',
    measure: 'came-off',
    due: { by: 'dip-counts' },
    how: 'In a white tray, under a magnifier. Eggs are scraped off and counted as seen. Polyps and tissue again the next day.',
  },
]

const DIP_EVENTS: readonly Rule[] = [
  { id: 'pest-seen', role: 'event', when: { judged: 'pest-seen' }, says: 'an animal or eggs were seen' },
  { id: 'late-dip', role: 'event', when: { judged: 'late-dip' }, says: 'a dip so late that hatchlings may lay' },
]

const COUNT_UP: Rule = {
  id: 'escalate-1',
  role: 'escalate',
  when: { judged: 'dips-rising' },
  says: 'the count goes up at the third dip or later',
  then: 'look for eggs, and for a host that was not treated',
}

const CYCLE: Definition = {
  id: 'coral-dip-cycle',
  isTreatment: true,
  kind: 'coral',
  name: 'dips against a pest',
  treats: DIP_PESTS.map(({ id }) => id),
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs: [],
  products: PRODUCTS,
  options: [{ id: 'pest', label: 'Against', choices: PESTS }, PACE, DIP],
  days: 60,
  ends: 'dips',
  lead: 'dips',
  tracks: [dips],
  steps: [
    CUT,
    ...DIP_STEPS,
    {
      id: 'step-3',
      title: 'Hosts kept elsewhere for six to eight weeks, where they can be',
      act: 'tick',
      due: { day: 0 },
      how: 'A display without its hosts for so long starves what hatches there. Skip it where they have nowhere to go.',
    },
    {
      id: 'dark',
      title: 'Look at every host after dark',
      act: 'count',
      measure: 'pest-count',
      due: { by: 'dark-looks' },
      how: 'Magnifier and red light, under plates and between polyps: what hides by day comes out.',
    },
    {
      id: 'look',
      title: 'Baster over a white cup, every host',
      act: 'count',
      measure: 'pest-count',
      due: { by: 'clean-looks' },
    },
    { id: 'close', title: 'Finish the dips', act: 'close', due: { by: 'close-dips' } },
  ],
  rules: [
    UNIVERSAL_STOP,
    { id: 'stop-1', role: 'stop', when: { asks: 'Does a coral bleach?' }, says: 'a coral bleaches', then: 'weaker, or a longer gap' },
    {
      id: 'stop-2',
      role: 'stop',
      when: { asks: 'Has a coral not recovered 48 h after its dip?' },
      says: 'no recovery 48 h after a dip',
      then: 'weaker, or a longer gap',
    },
    COUNT_UP,
    { id: 'success', role: 'success', when: { track: 'dips', is: 'full' }, says: 'enough clean dips on end' },
    ...DIP_EVENTS,
  ],
  handling: 0,
  restore: [],
}

/** Corals and invertebrates of a batch in a tub without fish: quarantine.md 7.5. */
const quarantineOf = (days: number, warm?: Warm): Definition => ({
  id: `coral-${days}`,
  kind: 'coral',
  name: `coral quarantine, ${days} days`,
  treats: ['marine-ich', 'marine-velvet', ...DIP_PESTS.map(({ id }) => id)],
  roles: [{ role: 'main', label: 'Tub', must: true }],
  drugs: [],
  products: PRODUCTS,
  options: [
    {
      id: 'pest',
      label: 'Seen on them',
      choices: [{ id: 'none', label: 'nothing so far' }, ...PESTS],
    },
    PACE,
    DIP,
  ],
  days,
  ends: 'dips',
  lead: 'fishless',
  tracks: [
    fishlessTrack(days, warm),
    dips,
  ],
  steps: [
    CUT,
    ...DIP_STEPS,
    {
      id: 'look',
      title: 'Look at every coral after dark',
      act: 'count',
      measure: 'pest-count',
      due: { by: 'dark-looks' },
      how: 'Magnifier and red light, under plates and between polyps. What is suspect sends the whole batch to day 0.',
    },
    {
      id: 'read',
      title: 'Test alkalinity and calcium',
      act: 'read',
      parameters: ['alk-kh', 'ca'],
      due: { day: 0, every: 3.5, until: 28 },
      how: 'Where a kit is shared: draw the sample into a throw-away cup and never pour it back; rinse, disinfect and dry the vial.',
    },
    {
      id: 'read-weekly',
      title: 'Test alkalinity and calcium',
      act: 'read',
      parameters: ['alk-kh', 'ca'],
      due: { day: 35, every: 7, until: days },
      how: 'Where a kit is shared: draw the sample into a throw-away cup and never pour it back; rinse, disinfect and dry the vial.',
    },
    ...(warm ? warmSteps(days, warm) : []),
    { id: 'light', title: 'Light to', act: 'tick', due: { by: 'light-ramp' } },
    { id: 'feed', title: 'Feed corals and filter', act: 'feed', due: { by: 'ghost-feed' }, how: 'Pumps off for 20 to 30 minutes; then they go on again.' },
    { id: 'pumps-on', title: 'Pumps back on', act: 'switch', due: { by: 'pumps-on' } },
    { id: 'close', title: 'Finish the quarantine', act: 'close', due: { by: 'close-dips' }, ...(warm && { needs: ['warm'] }) },
  ],
  rules: [
    { id: 'full', role: 'hard', when: { track: 'fishless', is: 'full' }, says: `${days} whole days without fish` },
    ...(warm ? warmRules(warm) : []),
    { id: 'clean', role: 'hard', when: { track: 'dips', is: 'full' }, says: 'enough clean dips on end' },
    COUNT_UP,
    ...FISHLESS_EVENTS,
    ...DIP_EVENTS,
  ],
  handling: 0,
  restore: [],
})

/** Quarantine of corals, and dips against a pest. */
export const CORAL_COURSES: readonly Definition[] = [
  quarantineOf(76),
  quarantineOf(45, WARM_45),
  CYCLE,
]
