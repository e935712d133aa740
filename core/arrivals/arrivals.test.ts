import { animalById, residentsOf, tankOfAnimal } from '../household/animals.ts'
import { entryFault } from '../journal/check.ts'
import { equipmentOf } from '../household/tanks.ts'
import { exportJournal } from '../journal/export.ts'
import { readJournal } from '../journal/read.ts'
import { boxById, boxesOf } from './box/boxes.ts'
import { arrivalOf } from './box/history.ts'
import { lightRamp } from './run/light.ts'
import { releaseContents, releaseSteps } from './run/release.ts'
import { runNow } from './run/run-now.ts'
import { liveRuns, runById } from './run/runs.ts'
import { arrivalTaskContents, arrivalTasks } from './tasks.ts'
import { home } from './testing.ts'

describe('boxes', () => {
  test('animals of one box come together; one without a box is a box of its own', () => {
    const it = home()
    it.expects('orchid')
    it.expects('shrimp', { species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 2, hoursInTransit: 20 })
    it.expects('alone', { boxId: undefined })
    const boxes = boxesOf(it.journal)
    expect(boxes.map(({ id, animals }) => [id, animals.map(({ expectedId }) => expectedId)])).toEqual([
      ['box', ['orchid', 'shrimp']],
      ['alone', ['alone']],
    ])
    expect(boxes[0]!.hoursInTransit).toBe(20)
  })

  test('what came dead leaves the box; of a group, as many as were dead', () => {
    const it = home()
    it.expects('shrimp', { species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 2 })
    const doa = { expectedId: 'shrimp', tankId: 'side', species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 1 }
    it.on(1, '10:35', 'dead-on-arrival', doa)
    expect(boxById(it.journal, 'box')!.animals[0]!.count).toBe(1)
    it.on(1, '10:36', 'dead-on-arrival', doa)
    expect(boxById(it.journal, 'box')).toBeNull()
    // It never was in the tank.
    expect(residentsOf(it.journal, 'side')).toEqual([])
  })
})

describe('a run lives in the journal', () => {
  test('it is the same after the journal was written out and read back', () => {
    const it = home()
    it.expects('orchid')
    it.start('run')
    it.event('run', 16, { event: 'opened' })
    it.event('run', 21, { event: 'scoop', litres: 0.1 })
    it.event('run', 22, { event: 'measured', salinityPsu: 31.2, temperatureC: 24 })
    const before = runNow(runById(it.journal, 'run')!, it.ms(1, '11:04'))
    const back = readJournal({ text: exportJournal(it.journal, '2026-11-02T12:00:00Z') })
    if (!back.ok) throw new Error('unread')
    expect(back.value.problems).toEqual([])
    const again = home().journal
    again.add(back.value.entries)
    expect(runNow(runById(again, 'run')!, it.ms(1, '11:04'))).toEqual(before)
    expect(before.next).toEqual({ kind: 'scoop', minute: 26, litres: 0.1 })
  })

  test('a scoop struck out is undone', () => {
    const it = home()
    it.start('run')
    it.event('run', 15, { event: 'opened' })
    const [scoop] = it.event('run', 20, { event: 'scoop', litres: 0.1 })
    it.journal.add([{ id: 'strike', logged: '2026-11-02T11:05:00Z', strikes: scoop!.id }])
    expect(runNow(runById(it.journal, 'run')!, it.ms(1, '11:02')).scoops).toBe(0)
  })

  test('it is live until it ends, and then stays as it ended', () => {
    const it = home()
    it.start('run')
    expect(liveRuns(it.journal).map(({ id }) => id)).toEqual(['run'])
    it.on(1, '11:10', 'acclimation-end', { runId: 'run', tankId: 'side', outcome: 'stopped', why: 'heater out' })
    expect(liveRuns(it.journal)).toEqual([])
    const run = runById(it.journal, 'run')!
    expect(runNow(run, it.ms(9, '08:00')).now.minute).toBe(30)
  })
})

/** A run of these animals, released half past eleven on day 1. */
function released(
  animals: Parameters<ReturnType<typeof home>['start']>[1],
  tanks = (it: ReturnType<typeof home>) => it,
) {
  const it = tanks(home())
  it.start('run', animals)
  it.event('run', 15, { event: 'opened' })
  const contents = releaseContents(it.journal, runById(it.journal, 'run')!, it.ms(1, '11:30'))
  it.write(...contents)
  return { it, contents }
}

describe('the release', () => {
  test('steps by group: an anemone turns the flow down, a coral is placed low, a dip comes before it goes across', () => {
    const it = home()
    it.on(-5, '08:00', 'equipment', { tankId: 'side', item: 'flow', running: true })
    it.on(-5, '08:00', 'equipment', { tankId: 'side', item: 'light', running: true })
    it.start('run', {
      animals: [
        { animalId: 'a', species: 'bubble-tip anemone', group: 'anemone', count: 1 },
        { animalId: 'b', species: 'zoanthids', group: 'coral-soft', count: 3, dip: true, lightUmol: 120 },
      ],
    })
    const steps = releaseSteps(it.journal, runById(it.journal, 'run')!)
    expect(steps.map(({ id }) => id)).toEqual([
      'lights-off',
      'flow-down',
      'plug-off',
      'dip',
      'light-start',
      'across',
      'bag-water',
    ])
    expect(steps.find(({ id }) => id === 'flow-down')).toMatchObject({ switches: { item: 'flow', running: false } })
    expect(steps.find(({ id }) => id === 'plug-off')!.caution).toMatch(/palytoxin.*gloves and eye protection/)
    expect(steps.find(({ id }) => id === 'light-start')!.words).toContain('60 µmol')
  })

  test('a fish into a bare tub: lights, across, bag water; no steps that are not its own', () => {
    const it = home()
    it.start('run')
    expect(releaseSteps(it.journal, runById(it.journal, 'run')!).map(({ id }) => id)).toEqual([
      'lights-off',
      'across',
      'bag-water',
    ])
  })

  test('it keeps the arrival with its way, the switches, and what was still off', () => {
    const { it, contents } = released({}, (house) => {
      house.expects('orchid')
      house.on(-5, '08:00', 'equipment', { tankId: 'side', item: 'light', running: true })
      return house
    })
    for (const content of contents) expect(entryFault({ id: 'x', logged: content.happened, content })).toBeNull()
    expect(contents.map(({ kind }) => kind)).toEqual(['equipment', 'arrival', 'acclimation-end'])
    expect(contents[1]).toMatchObject({ animalId: 'orchid', source: 'mail order', hoursInTransit: 18, runId: 'run' })
    expect(contents[2]).toMatchObject({ outcome: 'released', measured: false })
    expect(animalById(it.journal, 'orchid')!.stays.map(({ tankId }) => tankId)).toEqual(['side'])
    expect(boxesOf(it.journal)).toEqual([])
    expect(equipmentOf(it.journal, 'side')).toMatchObject([{ item: 'light', running: false }])
  })

  test('what is off at the release is written down, by how much', () => {
    const it = home()
    it.start('run')
    const [end] = releaseContents(it.journal, runById(it.journal, 'run')!, it.ms(1, '10:45')).slice(-1)
    expect(end).toMatchObject({
      off: 'salinity 2 psu under the tank’s, within 1 psu wanted; temperature 2 °C under the tank’s, within 1.5 °C wanted',
    })
  })

  test('between two own tanks it is a move', () => {
    const it = home()
    it.start('run', {
      tankId: 'side',
      fromTankId: 'hall',
      shippingHours: 0,
      animals: [{ animalId: 'plum', name: 'Plum', species: 'royal gramma', group: 'dottyback-basslet', count: 1 }],
    })
    it.write(...releaseContents(it.journal, runById(it.journal, 'run')!, it.ms(1, '11:30')))
    expect(tankOfAnimal(animalById(it.journal, 'plum')!)).toBe('side')
  })
})

describe('what is due after it', () => {
  const tasksAt = (it: ReturnType<typeof home>, day: number, time: string, ahead = 0) => {
    const now = it.ms(day, time)
    return arrivalTasks(it.journal, it.settings, now, it.settings.clock.dayOf(now) + ahead)
  }
  const kinds = (tasks: { kind: string; state: string }[]) => tasks.map(({ kind, state }) => `${kind} ${state}`)

  test('first meal and evening check the same day, head count the next morning', () => {
    const { it } = released({})
    expect(kinds(tasksAt(it, 1, '13:00'))).toEqual(['first-meal due', 'evening-check ahead'])
    expect(kinds(tasksAt(it, 1, '20:00', 1))).toEqual(['first-meal due', 'evening-check due', 'morning-check ahead'])
    const meal = tasksAt(it, 1, '20:00').find(({ kind }) => kind === 'first-meal')!
    it.write(...arrivalTaskContents(meal, it.ms(1, '20:00'), { appetite: 3 }))
    expect(kinds(tasksAt(it, 1, '20:01'))).toEqual(['evening-check due'])
    expect(arrivalOf(it.journal, 'orchid')).toMatchObject({ firstMealAt: it.ms(1, '20:00'), source: 'mail order' })
  })

  test('a meal refused is offered again, for three days', () => {
    const { it } = released({})
    for (const day of [1, 2, 3]) {
      const meal = tasksAt(it, day, '20:00').find(({ kind }) => kind === 'first-meal')!
      expect(meal.title).toMatch(day === 1 ? /^First meal/ : /^A meal again/)
      it.write(...arrivalTaskContents(meal, it.ms(day, '20:00'), { appetite: 0 }))
    }
    expect(tasksAt(it, 4, '20:00').map(({ kind }) => kind)).not.toContain('first-meal')
    expect(arrivalOf(it.journal, 'orchid')!.firstSigns!.signs).toEqual(['not-eating'])
  })

  test('a head count says who was seen and who was not', () => {
    const { it } = released({})
    const count = tasksAt(it, 2, '08:30').find(({ kind }) => kind === 'morning-check')!
    expect(count.state).toBe('due')
    expect(arrivalTaskContents(count, it.ms(2, '08:30'), { seen: [] })[0]).toMatchObject({
      kind: 'sighting',
      animalIds: ['orchid'],
      seen: false,
    })
  })

  test('of those counted, groups seen in part stand by themselves, with how many', () => {
    const { it } = released({})
    const count = tasksAt(it, 2, '08:30').find(({ kind }) => kind === 'morning-check')!
    const contents = arrivalTaskContents({ ...count, animalIds: ['orchid', 'tetras', 'shrimp'] }, it.ms(2, '08:30'), {
      seen: ['orchid', 'tetras'],
      seenCounts: { tetras: 7 },
    })
    expect(contents.slice(0, 3)).toMatchObject([
      { animalIds: ['orchid'], seen: true },
      { animalIds: ['tetras'], seen: true, seenCount: 7 },
      { animalIds: ['shrimp'], seen: false },
    ])
    expect(contents[0]).not.toHaveProperty('seenCount')
  })

  test('lights that went off for it go on again the next morning', () => {
    const { it } = released({}, (house) => {
      house.on(-5, '08:00', 'equipment', { tankId: 'side', item: 'light', running: true })
      return house
    })
    const task = tasksAt(it, 2, '09:00').find(({ kind }) => kind === 'light-on')!
    it.write(...arrivalTaskContents(task, it.ms(2, '09:00')))
    expect(equipmentOf(it.journal, 'side')).toMatchObject([{ item: 'light', running: true }])
    expect(tasksAt(it, 2, '09:01').map(({ kind }) => kind)).not.toContain('light-on')
  })

  test('a coral’s light goes up over two weeks, and it is not fed', () => {
    const { it } = released({
      animals: [{ animalId: 'orchid', species: 'torch coral', group: 'coral-lps', count: 1, lightUmol: 100 }],
    })
    const tasks = tasksAt(it, 1, '13:00', 20)
    expect(tasks.map(({ kind }) => kind)).not.toContain('first-meal')
    const steps = tasks.filter(({ kind }) => kind === 'light-step')
    expect(steps).toHaveLength(7)
    expect(steps.at(-1)!.title).toContain('100 µmol')
    expect(it.settings.clock.dayOf(steps.at(-1)!.best) - it.settings.clock.dayOf(it.ms(1, '12:00'))).toBe(14)
  })

  test('corals from different light are placed and ramped apart, and one that dies leaves the other’s steps as they are', () => {
    const { it } = released({
      animals: [
        { animalId: 'orchid', species: 'torch coral', group: 'coral-lps', count: 1, lightUmol: 100 },
        { animalId: 'zoas', species: 'zoanthids', group: 'coral-soft', count: 3, lightUmol: 60 },
      ],
    })
    const placed = releaseSteps(it.journal, runById(it.journal, 'run')!).filter(({ id }) =>
      id.startsWith('light-start'),
    )
    expect(placed.map(({ words }) => words)).toEqual([
      'Place torch coral low and shaded: about 50 µmol (50 % of the 100 it had)',
      'Place 3 zoanthids low and shaded: about 30 µmol (50 % of the 60 it had)',
    ])
    const steps = () => tasksAt(it, 1, '13:00', 20).filter(({ kind }) => kind === 'light-step')
    expect(steps()).toHaveLength(14)
    const ofZoas = steps().filter(({ animalIds }) => animalIds.includes('zoas'))
    expect(ofZoas.at(-1)!.title).toMatch(/^Light on 3 zoanthids to about 60 µmol/)
    it.on(1, '12:30', 'death', { animalId: 'orchid', tankId: 'side' })
    expect(steps().map(({ id }) => id)).toEqual(ofZoas.map(({ id }) => id))
  })

  test('without quarantine it is watched for thirty days instead', () => {
    const { it } = released({
      animals: [
        { animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1, noQuarantine: true },
      ],
    })
    expect(animalById(it.journal, 'orchid')).not.toBeNull()
    const watching = tasksAt(it, 1, '13:00', 40).filter(({ kind }) => kind === 'watch')
    expect(watching).toHaveLength(30)
    expect(watching[0]!.why).toMatch(/no quarantine, day 1 of 30/)
  })

  test('who has moved on or died is not asked after', () => {
    const { it } = released({})
    it.on(1, '12:30', 'death', { animalId: 'orchid', tankId: 'side' })
    expect(tasksAt(it, 1, '20:00')).toEqual([])
  })
})

test('the light ramp rises evenly to what the coral had', () => {
  const { startWords, steps } = lightRamp(200)
  expect(startWords).toBe('about 100 µmol (50 % of the 200 it had)')
  expect(steps.map(({ day }) => day)).toEqual([2, 4, 6, 8, 10, 12, 14])
  expect(steps[6]!.words).toBe('about 200 µmol (100 % of the 200 it had)')
  expect(lightRamp(null).startWords).toBe('about 30 % of the lamp’s usual light')
})
