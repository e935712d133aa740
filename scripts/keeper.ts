/** `npm run keeper -- <definition> <temperament> [seed]`: lives a course from its start form to its close and prints the diary, day by day. */
import '../core/catalogue/courses/all-definitions.ts'
import { definitionOf, Keeper } from '../core/testing/keeper/life.ts'
import { KEEPER_SETTINGS } from '../core/testing/keeper/household.ts'
import { TEMPERAMENTS, type Temperament } from '../core/testing/keeper/temperaments.ts'

const [definition = '', temperament = 'steady', seed = '1'] = process.argv.slice(2)
const START = Date.parse('2026-09-07T08:00:00Z')
const keeper = new Keeper(definitionOf(definition), {}, TEMPERAMENTS[temperament as Temperament['id']], Number(seed), START)
const life = keeper.live()
const { clock } = KEEPER_SETTINGS
const first = clock.dayOf(START)
let day = NaN
for (const { at, words } of life.diary) {
  if (clock.dayOf(at) !== day) {
    day = clock.dayOf(at)
    console.log(`day ${day - first}`)
  }
  const minute = clock.minuteOf(at)
  console.log(`  ${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')} ${words}`)
}
console.log(life.closedAt === null ? 'its close was never pressed' : 'closed')
console.log([...life.done].map(([step, times]) => `${step} ${times}`).join(', '))
console.log(`${life.troubles.length} troubles`)
