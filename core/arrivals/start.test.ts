import { planBox } from '../acclimation/together.ts'
import { tankById } from '../household/tanks.ts'
import { bagField, readBagForm, type BagContext } from './bag-form.ts'
import { runById } from './runs.ts'
import { runNow } from './run-now.ts'
import { runStarted } from './start.ts'
import { home } from './testing.ts'
import { waterOfTank } from './water.ts'

const ORCHID = { animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }
const SHRIMP = { animalId: 'shrimp', species: 'cleaner shrimp', group: 'shrimp-crab-snail', count: 2 }

function begin(values: Record<string, string>, { from = false, canBeMatched = false } = {}) {
  const it = home()
  it.read(0, '09:00', 'side', 'salinity', 33)
  it.read(0, '09:00', 'side', 'temp', 25)
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
  const read = readBagForm(values, context)
  const plan = planBox(read.question!)
  const start = (index: number, wayIndex = 0) => {
    const container = plan.containers[index]!
    const started = runStarted({
      runId: `run${index}`,
      animals: [ORCHID, SHRIMP],
      tank,
      from: from ? hall : null,
      source: 'mail order',
      read,
      container,
      way: container.comparison.ways[wayIndex]!,
      now,
    })
    it.write(...started.contents)
    return runById(it.journal, started.runId)!
  }
  return { ...it, plan, read, start, now }
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
    expect(run.start.fromTankId).toBe('hall')
    expect(runNow(run, between.now).openedAt).toBe(0)
  })
})
