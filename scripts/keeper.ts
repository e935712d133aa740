/** `npm run keeper -- <definition> <temperament> [seed]`: lives a course from its start form to its close and prints the diary, day by day. */
import { DEFINITIONS } from '../core/catalogue/courses/all-definitions.ts'
import { KEEPER_SETTINGS } from '../core/testing/keeper/household.ts'
import { liveCourse } from '../core/testing/keeper/life.ts'
import { TEMPERAMENTS, type TemperamentId } from '../core/testing/keeper/temperaments.ts'
import { timeOf } from '../core/time/words.ts'

const [definition = '', temperament = 'steady', seed = '1'] = process.argv.slice(2)
if (!DEFINITIONS.some(({ id }) => id === definition) || !(temperament in TEMPERAMENTS)) {
  console.error(`npm run keeper -- <definition> <temperament> [seed]
a definition is one of ${DEFINITIONS.map(({ id }) => id).join(', ')}
a temperament is one of ${Object.keys(TEMPERAMENTS).join(', ')}`)
  process.exit(2)
}
const life = liveCourse(definition, temperament as TemperamentId, { seed: Number(seed) })
const { clock } = KEEPER_SETTINGS
const first = clock.dayOf(life.startedAt)
let day = NaN
for (const { at, words } of life.diary) {
  if (clock.dayOf(at) !== day) {
    day = clock.dayOf(at)
    console.log(`day ${day - first}`)
  }
  console.log(`  ${timeOf(at, clock)} ${words}`)
}
console.log(life.closedAt === null ? 'not closed' : `closed on day ${clock.dayOf(life.closedAt) - first}`)
console.log([...life.done].map(([step, times]) => `${step} ${times}`).join(', '))
console.log(`${life.troubles.length} troubles`)
