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
const back = (it: ReturnType<typeof fallow>, day = 80) => restocking(it.journal, it.plan(day, '12:00').facts)

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
  expect(restocking(never.journal, never.plan(80, '12:00').facts)).toBeNull()
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

describe('coming back once the days are full', () => {
  /** Cobalt and Ash left on day 0 and went through a quarantine of watching; day 77 is the first with 76 full days. */
  const back76 = (...proven: readonly string[]) => {
    const it = fallow({ cobalt: 8, ash: 8, dot: 5 })
    it.write({
      kind: 'course-start',
      ...it.at(1, '08:00'),
      courseId: 'watch',
      definition: 'qt-f-observe',
      tanks: { main: 'obs' },
      animalIds: [...proven],
    })
    it.write({ kind: 'course-end', ...it.at(50, '08:00'), courseId: 'watch', outcome: 'finished' })
    return it
  }
  const stepsOf = (it: ReturnType<typeof back76>, day: number, time = '12:00') =>
    it
      .plan(day, time)
      .tasks.filter(({ step }) => ['bring-back', 'back-look', 'ammonia', 'close'].includes(step))
      .map(
        ({ step, title, why, waitsFor }) =>
          `${step}: ${title}; ${why}${waitsFor ? `; waits for ${waitsFor.join(', ')}` : ''}`,
      )

  test('the lightest proven one first, with how often the filter was fed', () => {
    const it = back76('cobalt', 'ash', 'dot')
    it.write({ kind: 'feed', ...it.at(3, '08:00'), tankId: 'quar', foodG: 0.1 })
    const [first] = stepsOf(it, 80)
    expect(first).toMatch(/^bring-back: Bring back dot; 2\.5 g, step 1; fed on 1 of 76 days without fish$/)
  })

  test('nobody before the days are full, and nobody who is not proven', () => {
    expect(stepsOf(back76('cobalt', 'ash', 'dot'), 70).filter((one) => one.startsWith('bring-back'))).toEqual([])
    // Not all of those in the tank were of the course: who lives with an unproven fish is none that is proven.
    expect(stepsOf(back76('dot'), 80).filter((one) => one.startsWith('bring-back'))).toEqual([])
  })

  test('after a step a look and both tests of ammonia a day for a week, and the next step ten days on', () => {
    const it = back76('cobalt', 'ash', 'dot')
    it.write({ kind: 'move', ...it.at(80, '10:00'), animalId: 'dot', fromTankId: 'obs', toTankId: 'quar' })
    const after = stepsOf(it, 81)
    expect(after).toContainEqual(expect.stringMatching(/^back-look: Watch half an hour; day 1 of 7/))
    expect(after).toContainEqual(expect.stringMatching(/^ammonia: Test ammonia; total ammonia by kit, and free/))
    expect(after).toContainEqual(
      expect.stringMatching(/^close: .*waits for 7 days of looks .*, the fish that are not back yet/),
    )
    const next = it.plan(81, '12:00').tasks.find(({ step }) => step === 'bring-back')!
    expect(next).toMatchObject({ animalIds: ['ash'], toTankId: 'quar', state: 'ahead' })
    expect(next.notBefore).toBe(it.ms(90, '10:00'))
    expect(next.best).toBe(it.ms(94, '10:00'))
    expect(stepsOf(it, 88).filter((one) => /^(back-look|ammonia)/.test(one))).toEqual([])
    // A new fish that was never in quarantine is met at the door, and the days stand.
    expect(it.plan(81, '12:00').fishless!.state).toBe('full')
  })
})
