import { fishMassG } from '../../household/fish-mass.ts'
import { quarantine } from '../testing/schools.ts'
import { restocking } from './restocking.ts'

/** The fish leave on day 0: cobalt, ash, and as many more as are named with their length, cm. */
function fallow(lengths: Readonly<Record<string, number>> = {}) {
  const it = quarantine({
    definition: 'fallow-76',
    start: { animalIds: [] },
    before: [],
  })
  const more = Object.keys(lengths).filter((id) => id !== 'cobalt' && id !== 'ash')
  for (const animalId of more)
    it.write({
      kind: 'arrival',
      ...it.at(-2, '13:00'),
      animalId,
      tankId: 'quar',
      species: animalId,
      group: 'clownfish',
      count: 1,
    })
  for (const [animalId, sizeCm] of Object.entries(lengths))
    it.write({ kind: 'animal-change', ...it.at(-1, '13:00'), animalId, changes: { sizeCm } })
  for (const animalId of ['cobalt', 'ash', ...more])
    it.write({ kind: 'move', ...it.at(0, '10:00'), animalId, fromTankId: 'quar', toTankId: 'obs' })
  return it
}
const back = (it: ReturnType<typeof fallow>, day = 80) => restocking(it.journal, it.plan(day, '12:00'))

test('a fish of 8 cm is about 10 g, and twice as long eight times as heavy', () => {
  expect(fishMassG(8)).toBeCloseTo(10.24, 9)
  expect(fishMassG(16) / fishMassG(8)).toBeCloseTo(8, 9)
})

test('without lengths by heads: at most 30 in a hundred, at least one at a time', () => {
  expect(back(fallow())).toMatchObject({
    before: { fish: 2, massG: null },
    now: { fish: 0 },
    atATime: { fish: 1, massG: null },
    steps: 2,
    order: [],
    days: [10, 14],
  })
  const never = quarantine({ definition: 'fallow-76', start: { animalIds: [], tanks: { main: 'obs' } } })
  expect(restocking(never.journal, never.plan(80, '12:00'))).toBeNull()
})

test('with every length by mass: lightest first, at most 30 in a hundred of what lived there, a heavy one alone', () => {
  // 10.24 + 10.24 + 2.5 + 20 + 2.5 = 45.48 g; three tenths are 13.644 g.
  const found = back(fallow({ cobalt: 8, ash: 8, dot: 5, tang: 10, dash: 5 }))!
  expect(found.before.massG).toBeCloseTo(45.48, 9)
  expect(found.atATime.massG).toBeCloseTo(13.644, 9)
  expect(found.order.map(({ animals }) => animals.map(({ id }) => id))).toEqual([
    ['dash', 'dot'],
    ['ash'],
    ['cobalt'],
    ['tang'],
  ])
  expect(found.steps).toBe(4)
})

test('one length missing and it is by heads; one that died does not come back', () => {
  expect(back(fallow({ ash: 8 }))!.before.massG).toBeNull()
  const it = fallow({ cobalt: 8, ash: 6 })
  it.write({ kind: 'death', ...it.at(20, '10:00'), animalId: 'ash', tankId: 'obs' })
  const found = back(it)!
  expect(found.before.fish).toBe(2)
  expect(found.order.map(({ animals }) => animals.map(({ id }) => id))).toEqual([['cobalt']])
})

test('what lives there again is said', () => {
  const it = fallow({ cobalt: 8, ash: 6 })
  it.write({ kind: 'move', ...it.at(78, '10:00'), animalId: 'ash', fromTankId: 'obs', toTankId: 'quar' })
  expect(back(it)!.now).toMatchObject({ fish: 1 })
  expect(back(it)!.now.massG).toBeCloseTo(4.32, 9)
})
