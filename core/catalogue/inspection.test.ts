import { Ajv } from 'ajv'
import { ANIMAL_GROUPS, animalGroupById } from './animal-group.ts'
import { INSPECTION, ticksFor } from './inspection.ts'
import { inspectionKindOf } from './inspection-kind.ts'
import { signLabel } from './sign-label.ts'
import { InspectionTick } from './inspection.schema.ts'
import { signById } from './sign.ts'
import { SIGN_SHEETS } from './sign-tables/sign-tables.ts'

const inTables = new Set([...SIGN_SHEETS.values()].flatMap(({ signs }) => signs.map(({ id }) => id)))

test('every tick is as the schema says, its sign once, known to a sign table or Brinvo’s own for arrivals', () => {
  const check = new Ajv().compile(InspectionTick)
  for (const tick of INSPECTION) {
    expect([tick.sign, check(tick)]).toEqual([tick.sign, true])
    const isKnown = signById(tick.sign) !== undefined || inTables.has(tick.sign)
    expect([tick.sign, isKnown]).toEqual([tick.sign, !tick.sign.startsWith('arr-')])
  }
  expect(new Set(INSPECTION.map(({ sign }) => sign)).size).toBe(INSPECTION.length)
})

test('every group of animals is looked at as something, and there is something to look for', () => {
  for (const group of ANIMAL_GROUPS)
    expect([group.id, ticksFor(inspectionKindOf(group), group.water).length > 1]).toEqual([group.id, true])
  expect(inspectionKindOf(animalGroupById('clam')!)).toBe('clam')
  expect(inspectionKindOf(animalGroupById('fw-shrimp')!)).toBe('crustacean')
})

test('signs of the sea are not asked of a freshwater fish', () => {
  const signs = ticksFor('fish', 'freshwater').map(({ sign }) => sign)
  expect(signs).toContain('white-grains-countable')
  expect(signs).not.toContain('red-sore-flank')
})

test('a sign is printed by its label, from whichever table', () => {
  expect([signLabel('flashing'), signLabel('arr-foot-torn'), signLabel('no-such-sign')]).toEqual([
    'scratching',
    'foot torn',
    'no-such-sign',
  ])
})
