import { ramped, ward, type Ward } from '../courses/testing/ward.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import { concernsOf } from './concerns.ts'
import { doubtOf } from './guard.ts'

const NOW: [number, string] = [3, '12:00']
const asked = (it: Ward, proposed: Content, [day, time] = NOW) =>
  concernsOf(it.journal, proposed, { now: it.ms(day, time) })
const found = (it: Ward, proposed: Content, now = NOW) =>
  asked(it, proposed, now).map(({ rule, severity }) => `${severity} ${rule}`)

const arrival = (it: Ward, tankId: string, group: string): ContentOf<'arrival'> => ({
  kind: 'arrival',
  ...it.at(3, '09:00'),
  animalId: 'new',
  tankId,
  name: 'Button',
  species: group,
  group,
  count: 1,
})
const move = (it: Ward, animalId: string, fromTankId: string, toTankId: string): ContentOf<'move'> => ({
  kind: 'move',
  ...it.at(3, '09:00'),
  animalId,
  fromTankId,
  toTankId,
})
const conditioner = (it: Ward, tankId: string, day = 3): ContentOf<'dose'> => ({
  kind: 'dose',
  ...it.at(day, '09:00'),
  tankId,
  ingredient: 'ammonia-binder',
  amount: 5,
  unit: 'mL',
})
const switched = (it: Ward, item: ContentOf<'equipment'>['item'], tankId = 'quar'): ContentOf<'equipment'> => ({
  kind: 'equipment',
  ...it.at(3, '09:00'),
  tankId,
  item,
  running: true,
})
const dose = (it: Ward, tankId: string, ingredient: string, massMg?: number): ContentOf<'dose'> => ({
  kind: 'dose',
  ...it.at(3, '09:00'),
  tankId,
  ingredient,
  amount: 1,
  unit: 'mL',
  ...(massMg !== undefined && { massMg }),
})

describe('whichever of two comes first, the second is asked about', () => {
  test('copper runs, a conditioner that binds ammonia is to go in: never', () => {
    const it = ramped()
    expect(found(it, conditioner(it, 'quar'))).toEqual(['never cu-binder'])
    expect(doubtOf(it.journal, conditioner(it, 'quar'), { now: it.ms(...NOW) }).asks).toHaveLength(1)
  })

  test('the conditioner went in, copper is to follow: never', () => {
    const it = ward()
    it.write(conditioner(it, 'obs', 2))
    expect(found(it, dose(it, 'obs', 'cu-chelated', 30))).toEqual(['never cu-binder'])
  })

  test('a dose dated back to before the conditioner meets it all the same', () => {
    const it = ward()
    it.write(conditioner(it, 'obs', 3))
    const earlier = { ...dose(it, 'obs', 'cu-chelated', 30), ...it.at(2, '09:00') }
    expect(found(it, earlier)).toEqual(['never cu-binder'])
  })

  test('carbon, UV and a skimmer into a running course', () => {
    const it = ramped()
    expect(found(it, switched(it, 'carbon'))).toEqual(['block carbon-any'])
    expect(found(it, switched(it, 'uv')).sort()).toEqual(['block cu-uv-ozone', 'block uv-ozone-any'])
    expect(found(it, switched(it, 'skimmer'))).toEqual(['caution skimmer-any'])
    expect(found(it, switched(it, 'heater'))).toEqual([])
    expect(found(it, switched(it, 'carbon', 'obs'))).toEqual([])
    expect(found(it, { ...switched(it, 'carbon'), running: false })).toEqual([])
  })

  test('an urchin into copper: never; a fish: told what stands in the water, and that the count starts over', () => {
    const it = ramped()
    expect(found(it, arrival(it, 'quar', 'star-urchin'))[0]).toBe('never drug-invert')
    const [restart, present] = asked(it, arrival(it, 'quar', 'hawkfish'))
    expect(restart).toMatchObject({ rule: 'new-fish', severity: 'caution' })
    expect(present).toMatchObject({ rule: 'agent-present', what: expect.stringContaining('2.25 mg/L') })
    expect(found(it, arrival(it, 'quar', 'syngnathid'))).toContain('block syngnathid')
    expect(found(it, arrival(it, 'obs', 'star-urchin'))).toEqual([])
  })
})

describe('fish in the middle of a course', () => {
  test('out of the medicine: asked; into a display: not without a reason and the answer about the vet', () => {
    const it = ramped()
    it.write({ kind: 'tank-change', ...it.at(-1, '08:00'), tankId: 'obs', changes: { role: 'display' } })
    expect(asked(it, move(it, 'needle', 'quar', 'obs'))).toMatchObject([
      { rule: 'treated-to-display', severity: 'block', override: 'reason-and-vet' },
    ])
    it.write({ kind: 'tank-change', ...it.at(0, '08:00'), tankId: 'obs', changes: { role: 'quarantine' } })
    expect(asked(it, move(it, 'needle', 'quar', 'obs'))).toMatchObject([{ rule: 'mid-course', severity: 'caution' }])
  })
})

describe('copper without a course', () => {
  test('5000 mL in ten gallons is over what any dose reaches, and the right amount is offered', () => {
    const it = ward()
    const [concern] = asked(it, { ...dose(it, 'obs', 'cu-chelated', 50_000), productId: 'bottle' })
    expect(concern).toMatchObject({ rule: 'over-band', severity: 'block', rather: { amount: 13.5 } })
    expect(concern!.what).toMatch(/^That makes 833/)
  })

  test('without a volume, or without a strength, it cannot be judged and says so', () => {
    const it = ward()
    it.write({
      kind: 'tank-setup',
      ...it.at(-3, '08:00'),
      tankId: 'jar',
      name: 'Jar',
      water: 'marine',
      role: 'jar',
    })
    expect(asked(it, dose(it, 'jar', 'cu-chelated', 10))).toMatchObject([{ rule: 'cannot-judge', severity: 'ask' }])
    expect(asked(it, dose(it, 'obs', 'cu-chelated'))).toMatchObject([{ rule: 'cannot-judge', severity: 'ask' }])
    expect(found(it, dose(it, 'obs', 'praziquantel', 120))).toEqual([])
  })

  test('copper that was dosed and never taken out is still there months later; carbon has taken other medicine', () => {
    const it = ward()
    it.write({ ...dose(it, 'obs', 'cu-chelated', 120), ...it.at(-90, '09:00') })
    expect(found(it, arrival(it, 'obs', 'star-urchin'))).toEqual(['never drug-invert'])
    const other = ward()
    other.write({ ...dose(other, 'obs', 'chloroquine', 800), ...other.at(-5, '09:00') })
    expect(found(other, arrival(other, 'obs', 'star-urchin'))).toEqual(['block drug-invert'])
    other.write({ ...switched(other, 'carbon', 'obs'), ...other.at(-4, '09:00') })
    expect(found(other, arrival(other, 'obs', 'star-urchin'))).toEqual([])
  })
})

test.each([
  ['shrimp', 'caution', /single losses/],
  ['snail', 'block', /kept out/],
  ['crab', 'block', /crabs die/],
  ['star-urchin', 'block', /contraindicated/],
] as const)('fenbendazole with %s in the water: %s', (group, severity, reason) => {
  const it = ward()
  it.write(arrival(it, 'obs', group))
  const [concern] = asked(it, dose(it, 'obs', 'fenbendazole', 100))
  expect(concern).toMatchObject({ rule: 'drug-invert', severity })
  expect(concern!.reason).toMatch(reason)
})

test('carbon is asked about while copper has to be held, and not once its count is full', () => {
  const it = ramped()
  for (let day = 2; day <= 17; day++) it.read(day, '08:00', 2.2)
  const carbon = (day: number) => ({ ...switched(it, 'carbon'), ...it.at(day, '09:00') })
  expect(found(it, carbon(10), [10, '09:00'])).toHaveLength(1)
  // Full, but the fish are still in: nothing lowers the level before they are out.
  expect(found(it, carbon(17), [17, '09:00'])).toEqual(['block carbon-any'])
  for (const animalId of ['needle', 'burr'])
    it.write({
      kind: 'move',
      ...it.at(17, '08:30'),
      animalId,
      fromTankId: 'quar',
      toTankId: 'obs',
      cleanTransfer: true,
    })
  expect(found(it, carbon(17), [17, '09:00'])).toEqual(['note carbon-takes-out'])
})

test('a peroxide spot treatment is exempt from the rows of whole-tank strength, a whole-tank dose is not', () => {
  const it = ward()
  it.write(arrival(it, 'obs', 'star-urchin'))
  expect(found(it, dose(it, 'obs', 'peroxide', 47))).toEqual(['note drug-invert'])
  expect(found(it, dose(it, 'obs', 'peroxide', 200))).toEqual(['block over-band', 'block drug-invert'])
})

test('what was set aside on record is not asked again for the same water; a never always is', () => {
  const it = ward({ start: { overrides: [{ rule: 'skimmer-any', why: 'cup is off', vetAgreed: false }] } })
  it.write({ ...switched(it, 'skimmer'), ...it.at(0, '08:00') })
  const doubt = (content: Content) => doubtOf(it.journal, content, { now: it.ms(...NOW) }).asks.map(({ rule }) => rule)
  expect(doubt({ ...dose(it, 'quar', 'cu-chelated', 60), productId: 'bottle' })).toEqual([])
  it.write(conditioner(it, 'quar', 2))
  const overridden = { ...dose(it, 'quar', 'cu-chelated', 60), productId: 'bottle' }
  expect(doubt(overridden)).toEqual(['cu-binder'])
  expect(doubt({ ...overridden, overrides: [{ rule: 'cu-binder', why: 'an accident', vetAgreed: false }] })).toEqual([])
})
