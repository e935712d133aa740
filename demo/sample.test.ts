import { parameterById } from '../core/catalogue/parameter.ts'
import { ingredientById } from '../core/catalogue/ingredient.ts'
import { animalGroupById } from '../core/catalogue/animal-group.ts'
import { signById } from '../core/catalogue/sign.ts'
import { animalById, animalLabel, residentsOf } from '../core/household/animals.ts'
import { settingsOf } from '../core/household/settings.ts'
import { productById, shelfOf } from '../core/household/shelf.ts'
import { equipmentOf, tankById, tanksOf } from '../core/household/tanks.ts'
import { follow } from '../core/acclimation/follow.ts'
import { limitsFor } from '../core/acclimation/limits.ts'
import { runNow } from '../core/arrivals/run/run-now.ts'
import { runById } from '../core/arrivals/run/runs.ts'
import { entryFault } from '../core/journal/check.ts'
import { exportJournal } from '../core/journal/export.ts'
import { Journal } from '../core/journal/journal.ts'
import { readJournal } from '../core/journal/read.ts'
import { lastValue } from '../core/readings/evidence.ts'
import { readingsOf } from '../core/readings/latest.ts'
import { MS_PER_DAY } from '../core/time/zone.ts'
import { buildSample } from './index.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
const at = (now: number, timeZone = 'Europe/Lisbon') => {
  const entries = buildSample({ now, timeZone })
  const journal = new Journal()
  journal.add(entries)
  return { entries, journal }
}

describe('the sample household', () => {
  const { entries, journal } = at(NOW)

  test('every entry is as the journal keeps them, and none lies ahead', () => {
    for (const entry of entries) {
      expect([entry.id, entryFault(entry)]).toEqual([entry.id, null])
      if ('content' in entry) expect(Date.parse(entry.content.happened)).toBeLessThanOrEqual(NOW)
    }
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  })

  test('it is a few hundred entries over about four months', () => {
    expect(entries.length).toBeGreaterThan(300)
    expect(entries.length).toBeLessThan(900)
    const first = Math.min(
      ...entries.flatMap((entry) => ('content' in entry ? Date.parse(entry.content.happened) : [])),
    )
    expect((NOW - first) / MS_PER_DAY).toBeGreaterThan(110)
  })

  test('it exports and reads back whole', () => {
    const back = readJournal({ text: exportJournal(journal, '2026-11-23T18:30:00Z') })
    expect(back.ok && back.value.problems).toEqual([])
    expect(back.ok && back.value.entries).toHaveLength(entries.length)
  })

  test('everything it names is known', () => {
    for (const entry of entries) {
      if (!('content' in entry)) continue
      const { content } = entry
      if ('tankId' in content && content.tankId !== undefined) expect(tankById(journal, content.tankId)).not.toBeNull()
      if (content.kind === 'reading') expect(parameterById(content.parameter)).toBeDefined()
      if (content.kind === 'dose') {
        expect(ingredientById(content.ingredient)).toBeDefined()
        const product = productById(journal, content.productId!)!
        expect(product.ingredient).toBe(content.ingredient)
        expect(content.massMg).toBeCloseTo(content.amount * product.mgPerUnit, 0)
      }
      if (content.kind === 'arrival' || content.kind === 'expected')
        expect(animalGroupById(content.group)).toBeDefined()
      if (content.kind === 'sighting') content.signs.forEach(({ sign }) => expect(signById(sign)).toBeDefined())
    }
  })

  test('the present state is the one of the scenario', () => {
    const living = (tank: string) => residentsOf(journal, tank).map(animalLabel)
    expect(tanksOf(journal).map(({ name }) => name)).toEqual([
      'Hall reef',
      'Quarantine',
      'Frag tub',
      'Study planted',
      'Side tub',
      'Shrimp jar',
      'Urchin bucket',
    ])
    expect(living('hall')).toEqual(expect.arrayContaining(['Plum', 'Saffron']))
    expect(living('quar').sort()).toEqual(['Burr', 'Needle'])
    expect(living('bucket')).toEqual(['Button'])
    expect(living('study')).toEqual(expect.arrayContaining(['9 ember tetras', 'Honey', '6 algae shrimp']))
    expect([living('side'), living('jar')]).toEqual([[], []])
    expect(animalById(journal, 'flint')!.end).toMatchObject({ how: 'died' })
    expect(journal.ofKind('expected')).toHaveLength(2)
    expect(equipmentOf(journal, 'hall').find(({ item }) => item === 'uv')?.running).toBe(true)
    expect(shelfOf(journal).length).toBeGreaterThan(6)
    expect(settingsOf(journal)?.timeZone).toBe('Europe/Lisbon')
  })

  test('the fish of the quarantine came across within their limits, and were moved when it was true', () => {
    const run = runById(journal, 'quar-november')!
    const { limits } = limitsFor('hawkfish', run.setup.setting.bag.salinityPsu, run.setup.setting.tank.salinityPsu)!
    expect(run.setup.limits).toEqual(limits)
    const played = runNow(run, NOW)
    expect(played.off).toEqual([])
    expect(played.isMeasured).toBe(true)
    expect(run.ended!.at - run.startedAt).toBeLessThanOrEqual(limits.maxMinutes * 60_000)
    for (const point of played.past) expect(point.freeAmmoniaMgPerL).toBeLessThanOrEqual(limits.maxFreeAmmoniaMgPerL)
    // What was measured lies within a refractometer's half psu of what was reckoned.
    const reckoned = follow(
      run.setup,
      run.happenings.filter(({ kind }) => kind !== 'measured'),
      56,
    )
    expect(Math.abs(reckoned.now.salinityPsu - 32.1)).toBeLessThan(0.5)
    expect(Math.abs(reckoned.now.temperatureC - 24.4)).toBeLessThan(0.5)
  })

  test('the copper fell under its range on the fifth day, after a change that was miscounted and put right', () => {
    const low = readingsOf(journal, 'quar', 'copper').filter(
      ({ at, content }) => NOW - at < 8 * MS_PER_DAY && content.result.kind === 'value' && content.result.value < 2,
    )
    expect(low).toHaveLength(1)
    const change = journal.ofKind('water-change').find(({ corrected }) => corrected)!
    expect(change.content).toMatchObject({ tankId: 'quar', litres: 20 })
    expect(lastValue(journal, 'quar', 'copper')!.value).toBeGreaterThan(2)
  })
})

test('it is alive on any day, at any hour, in any zone', () => {
  for (const [now, zone] of [
    ['2026-03-29T01:30:00Z', 'Europe/Lisbon'],
    ['2027-02-28T23:59:00Z', 'Pacific/Auckland'],
    ['2028-02-29T05:00:00Z', 'America/St_Johns'],
  ] as const) {
    const { entries, journal } = at(Date.parse(now), zone)
    expect(entries.every((entry) => entryFault(entry) === null)).toBe(true)
    expect(residentsOf(journal, 'quar')).toHaveLength(2)
  }
})
