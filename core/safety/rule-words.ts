import { INTERACTIONS } from '../catalogue/treatments/interactions.data.ts'
import { SENSITIVITIES } from '../catalogue/treatments/sensitivities.data.ts'

/** What the guard's own rules are about, in a few words. */
const OWN: Readonly<Record<string, string>> = {
  'agent-present': 'a treatment in the water',
  'ammonia-with-animals': 'ammonium chloride with animals in the water',
  'bath-tub': 'a tub for baths in which animals live',
  'bath-too-long': 'a bath longer than its row',
  'bath-too-soon': 'a bath sooner than its row',
  'by-label': 'a dip by its label',
  'cannot-judge': 'what could not be judged',
  'carbon-takes-out': 'carbon that takes a drug out',
  'choice-not-with': 'a choice that is not for those in the tank',
  'confirm-first': 'a treatment before the cause was confirmed',
  'copper-in-rock': 'rock that was in copper',
  'coral-early': 'a coral before its days without fish are full',
  'day-cap': 'more in a day than its cap',
  'dip-forbidden': 'a coral that should not have this dip',
  'dip-in-tank': 'a coral dip in a tank',
  'dip-not-for-fish': 'a fish in a coral dip',
  'direct-dose': 'straight to the dose',
  'fenbendazole-residue': 'snails after fenbendazole',
  'fish-in-fallow': 'a fish into days without fish',
  'full-redose': 'the stronger dose redosed in full',
  'fw-dip-invert': 'an invertebrate in fresh water',
  'kit-crosses': 'a kit that goes from tank to tank',
  'level-after': 'a level that a change lowers',
  'media-from-fish': 'filter media from a tank with fish',
  'medicine-by-pump': 'a medicine by a pump',
  'mid-course': 'an animal moved in the middle of its course',
  'new-fish': 'a new fish in a running course',
  'new-wet-item': 'something wet in days without fish',
  'open-case': 'new stock into an open case',
  'over-band': 'a level above its range',
  'ph-apart': 'pH apart',
  'read-first': 'copper dosed without a recent test',
  'running-plan': 'new stock into a running plan',
  'salinity-apart': 'salinity apart',
  'salinity-fall': 'salinity lowered fast',
  'salinity-fresh': 'salt in fresh water',
  'salinity-low': 'salinity under 1.008',
  'salinity-reef': 'a reef under 30 psu',
  'salinity-rise': 'salinity raised fast',
  'set-dry': 'a tank set that is still wet',
  'temp-apart': 'temperature apart',
  'too-near': 'a tank less than 3 m away',
  'top-off-large': 'a large top-off',
  'treated-to-display': 'an unfinished fish into a display',
  'two-schools': 'two courses for the same fish',
  'two-treatments': 'two treatments in one tank',
  unproven: 'an animal without a finished quarantine into a clean tank',
  'which-tank': 'copper where invertebrates live',
  'wrong-water': 'an animal in the wrong water',
}

const interactions = new Map(INTERACTIONS.map((row) => [row.id, row]))

/** Whether a rule is a row of the handbook's interactions. */
export const isInteraction = (rule: string): boolean => interactions.has(rule)

/**
 * What a rule is about, in words: never its id.
 * @example
 * ruleWords('cu-rock') // "rock, aragonite, coral sand bind then release it; level cannot be held"
 */
export function ruleWords(rule: string): string {
  const own = OWN[rule] ?? interactions.get(rule)?.reason
  if (own !== undefined) return own
  const examples = SENSITIVITIES.find(({ id }) => id === rule)?.examples
  return examples === undefined ? 'a concern of an earlier version' : `what ${examples} tolerate`
}

/** The guard's own rules. */
export const OWN_RULES: readonly string[] = Object.keys(OWN)
