import { follow } from '../../acclimation/follow.ts'
import { planBox } from '../../acclimation/together.ts'
import { animalById } from '../../household/animals.ts'
import { tankById } from '../../household/tanks.ts'
import { bagField, readBagForm, type BagContext } from '../box/bag-form.ts'
import { MS_PER_MINUTE } from '../../time/zone.ts'
import { arrivalOf } from '../box/history.ts'
import { releaseContents } from './release.ts'
import { runById } from './runs.ts'
import { runNow } from './run-now.ts'
import { runStarted } from './start.ts'
import { home } from '../testing.ts'
import { waterOfTank } from './water.ts'

const ORCHID = { animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }
const SHRIMP = { animalId: 'shrimp', species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 }

function begin(values: Record<string, string>, { from = false, canBeMatched = false, read = false } = {}) {
  const it = home()
  it.read(0, '09:00', 'side', 'salinity', 33)
  it.read(0, '09:00', 'side', 'temp', 25)
  if (read) it.read(0, '09:00', 'hall', 'salinity', 34)
  const tank = tankById(it.journal, 'side')!
  const hall = tankById(it.journal, 'hall')!
  const now = it.ms(1, '10:40')
  const context: BagContext = {
    animals: [ORCHID, SHRIMP].map(({ animalId, species, group }) => ({ id: animalId, name: species, group })),
    tank,
    water: waterOfTank(it.journal, tank, now),
    from: from ? { tank: hall, water: waterOfTank(it.journal, hall, now) } : null,
    hours: 18,
    canBeMatched,
    units: it.settings.units,
  }
  const form = readBagForm(values, context)
  const plan = planBox(form.question!)
  const start = (index: number, wayIndex = 0) => {
    const container = plan.containers[index]!
    const started = runStarted({
      runId: `run${index}`,
      animals: [ORCHID, SHRIMP],
      tank,
      from: from ? hall : null,
      source: 'mail order',
      read: form,
      container,
      way: container.comparison.ways[wayIndex]!,
      now,
    })
    it.write(...started.contents)
    return runById(it.journal, started.runId)!
  }
  return { ...it, plan, form, start, now }
}

const LITRES = { [bagField('orchid', 'litres')]: '1', [bagField('shrimp', 'litres')]: '0.6' }

describe('a run begun from the form of a plan', () => {
  test('goes on as the plan that was shown: the same minutes, the same end', () => {
    const it = begin({
      ...LITRES,
      room: '25',
      [bagField('orchid', 'salinityPsu')]: '31.8',
      [bagField('shrimp', 'salinityPsu')]: '31.8',
    })
    expect(it.plan.containers).toHaveLength(1)
    const run = it.start(0)
    const [way] = it.plan.containers[0]!.comparison.ways
    expect(way!.broken).toEqual([])
    expect(runNow(run, it.now).readyAt).toBe(way!.moveAt)
    expect(run.start.animals.map(({ animalId, count }) => [animalId, count])).toEqual([
      ['orchid', 1],
      ['shrimp', 2],
    ])
  })

  test('of two containers each takes its own animals', () => {
    const it = begin({
      ...LITRES,
      [bagField('orchid', 'salinityPsu')]: '27',
      [bagField('shrimp', 'salinityPsu')]: '33',
    })
    expect(it.plan.containers).toHaveLength(2)
    const runs = [it.start(0), it.start(1)]
    expect(runs.flatMap(({ start }) => start.animals.map(({ animalId }) => animalId)).sort()).toEqual([
      'orchid',
      'shrimp',
    ])
    expect(runs[0]!.start.animals).toHaveLength(1)
  })

  test('beside a container that the tank is set to, the other runs to the tank as it will be', () => {
    const it = begin(
      {
        ...LITRES,
        [bagField('orchid', 'salinityPsu')]: '26',
        [bagField('orchid', 'tanMgPerL')]: '6',
        [bagField('shrimp', 'salinityPsu')]: '27',
      },
      { canBeMatched: true },
    )
    expect(it.plan.containers).toHaveLength(2)
    const other = it.plan.containers.findIndex(({ comparison }) => comparison.advised !== 'match-and-release')
    const matched = it.plan.containers[1 - other]!.bag.salinityPsu
    expect(it.start(other).setup.setting.tank.salinityPsu).toBe(matched)
    expect(it.start(1 - other).setup.setting.tank.salinityPsu).toBe(33)
  })

  test('what nobody measured is kept as assumed, what was typed is not', () => {
    const run = begin({ ...LITRES, [bagField('orchid', 'salinityPsu')]: '31.8' }).start(0)
    expect(run.start.assumed).toContain('orchid.pH')
    expect(run.start.assumed).not.toContain('orchid.salinityPsu')
  })

  test('a way that does not keep its limits is begun knowing which', () => {
    const it = begin({
      ...LITRES,
      [bagField('orchid', 'salinityPsu')]: '27',
      [bagField('shrimp', 'salinityPsu')]: '27',
    })
    const [container] = it.plan.containers
    const index = container!.comparison.ways.findIndex(({ broken }) => broken.length > 0)
    const run = it.start(0, index)
    expect(run.start.knowing).toBe(container!.comparison.ways[index]!.broken.map(({ words }) => words).join('; '))
  })

  test('from bag to tank it begins sealed; between own tanks it is open from the first minute', () => {
    expect(runNow(begin(LITRES).start(0), begin(LITRES).now).openedAt).toBeNull()
    const between = begin(LITRES, { from: true })
    const run = between.start(0)
    // The hall's water was never read either: all of it is a guess.
    expect(run.start.assumed).toEqual(expect.arrayContaining(['orchid.salinityPsu', 'orchid.pH']))
    expect(run.start.fromTankId).toBe('hall')
    expect(runNow(run, between.now).openedAt).toBe(0)
  })

  test('what was read in the tank they come from is no guess', () => {
    const run = begin(LITRES, { from: true, read: true }).start(0)
    expect(run.start.assumed).toContain('orchid.pH')
    expect(run.start.assumed).not.toContain('orchid.salinityPsu')
  })

  test('of a group some go: they part from it when they go across, and have a record of their own', () => {
    const it = begin(LITRES, { from: true })
    it.on(-3, '09:00', 'arrival', {
      animalId: 'shrimp',
      tankId: 'hall',
      species: 'cleaner shrimp',
      group: 'shrimp-crab-snail',
      count: 5,
    })
    const { contents } = runStarted({
      runId: 'some',
      animals: [{ ...SHRIMP, partOf: 'shrimp' }],
      tank: { id: 'side' },
      from: { id: 'hall' },
      source: null,
      read: it.form,
      container: { ...it.plan.containers[0]!, ids: ['shrimp'] },
      way: it.plan.containers[0]!.comparison.ways[0]!,
      now: it.now,
    })
    it.write(...contents)
    const run = runById(it.journal, 'some')!
    const { animalId } = run.start.animals[0]!
    expect(animalId).not.toBe('shrimp')
    expect(animalById(it.journal, 'shrimp')).toMatchObject({ count: 5 })
    const release = () => releaseContents(it.journal, run, it.now + 60 * MS_PER_MINUTE)
    it.write(...release())
    expect(animalById(it.journal, 'shrimp')).toMatchObject({ count: 3, stays: [{ tankId: 'hall', to: null }] })
    expect(animalById(it.journal, animalId)).toMatchObject({ count: 2, stays: [{ tankId: 'side', to: null }] })
    expect(arrivalOf(it.journal, animalId)).toMatchObject({ tankId: 'side', source: 'Hall reef', run: { id: 'some' } })
    // Of those left behind all but one die: two more cannot go.
    it.on(2, '09:00', 'death', { animalId: 'shrimp', tankId: 'hall', count: 2 })
    expect(release().find(({ kind }) => kind === 'move')).toMatchObject({ count: 1 })
  })
})

describe('a tank that is read during a run', () => {
  test('stands as it was read: the run goes on with that, and not with what the plan had', () => {
    const it = begin(LITRES)
    const run = it.start(0)
    expect(run.setup.setting.tank.salinityPsu).toBe(33)
    it.read(1, '10:50', 'side', 'salinity', 26)
    const after = runById(it.journal, run.id)!
    expect(after.setup.setting.tank).toMatchObject({ salinityPsu: 26, temperatureC: 25 })
    expect(after.setup.isTankRead).toBe(true)
    const opened = { kind: 'opened' as const, minute: 15 }
    const ends = (one: typeof run) =>
      follow(one.setup, [opened, { kind: 'drip', minute: 15, mlPerMinute: 40 }], 120).now.salinityPsu
    expect(ends(after)).toBeLessThan(ends(run) - 1)
  })
})
