import { Journal } from '../journal/journal.ts'
import type { Content, Entry } from '../journal/entry.ts'
import { arrival, bareTank, copper, scribe } from '../journal/testing.ts'
import { animalById, animalLabel, animalsOf, countAt, residentsOf } from './animals.ts'
import { METRIC, settingsOf } from './settings.ts'
import { productById, shelfOf } from './shelf.ts'
import { equipmentOf, kitFor, netVolumeAt, tankAt, tankById, tanksOf } from './tanks.ts'

const at = (day: number) => new Date(Date.parse('2026-07-01T12:00:00Z') + day * 86_400_000).toISOString()
const ms = (day: number) => Date.parse(at(day))

function household(...contents: Content[]) {
  const { record } = scribe()
  const journal = new Journal()
  const entries = contents.map((content) => record(content))
  journal.add(entries)
  return { journal, entries, record }
}

describe('tanks', () => {
  test('a tank is its set-up with its changes, and its net volume follows', () => {
    const { journal } = household(bareTank('q', 'Quarantine'), {
      kind: 'tank-change',
      happened: at(5),
      tankId: 'q',
      changes: { name: 'Sick bay', sheet: { shape: { kind: 'known', litres: 60 } } },
    })
    expect(tankById(journal, 'q')).toMatchObject({ name: 'Sick bay', short: 'sick', volume: { netL: 60 } })
    expect(tankAt(journal, 'q', ms(2))).toMatchObject({ name: 'Quarantine', volume: { netL: 64.75 } })
    expect(tankById(journal, 'nowhere')).toBeNull()
  })

  test.each([
    ['its sheet', [], 64.75],
    ['what doses showed', [{ learntL: 58 }], 58],
    ['a sheet measured again', [{ learntL: 58 }, { sheet: { shape: { kind: 'known' as const, litres: 60 } } }], 60],
    ['what was learnt after it', [{ sheet: { shape: { kind: 'known' as const, litres: 60 } } }, { learntL: 55 }], 55],
    [
      'no sheet that leaves water',
      [{ learntL: 58 }, { sheet: { shape: { kind: 'known' as const, litres: 60 }, sumpL: -70 } }],
      null,
    ],
  ])('the net volume of now and of an instant are one: %s', (_, changes, netL) => {
    const { journal } = household(
      bareTank('q', 'Quarantine'),
      ...changes.map((change, i) => ({
        kind: 'tank-change' as const,
        happened: at(i + 1),
        tankId: 'q',
        changes: change,
      })),
    )
    expect(tankById(journal, 'q')!.volume?.netL ?? null).toBe(netL)
    expect(netVolumeAt(journal, 'q', ms(9))).toBe(netL)
  })

  test('a tank taken down leaves the list, and comes back when its strike-out does', () => {
    const { journal, record } = household(bareTank('q', 'Quarantine'), bareTank('hall', 'Hall reef'))
    const down = record({ kind: 'tank-change', happened: at(1), tankId: 'q', changes: { retired: true } })
    journal.add([down])
    expect(tanksOf(journal).map(({ id }) => id)).toEqual(['hall'])
    expect(tanksOf(journal, { retired: true })).toHaveLength(2)
    journal.add([{ id: 's', logged: at(2), strikes: down.id }])
    expect(tanksOf(journal)).toHaveLength(2)
  })

  test('a sheet that leaves no water gives no volume, and no crash', () => {
    const { journal } = household({
      ...bareTank('q', 'Q'),
      sheet: { shape: { kind: 'known', litres: 5 }, rock: { dryMassKg: 50 } },
    } as Content)
    expect(tankById(journal, 'q')).toMatchObject({ volume: null })
  })

  test('equipment is as last switched; a tank’s own kit goes before a shared one', () => {
    const switched = (day: number, running: boolean): Content => ({
      kind: 'equipment',
      happened: at(day),
      tankId: 'q',
      item: 'carbon',
      running,
    })
    const { journal } = household(switched(2, false), switched(1, true), {
      ...switched(3, true),
      item: 'uv',
      removed: true,
    } as Content)
    expect(equipmentOf(journal, 'q')).toEqual([{ item: 'carbon', running: false, since: ms(2) }])
    const kit = (kitId: string, tankId?: string): Content => ({
      kind: 'kit-setup',
      happened: at(0),
      kitId,
      name: kitId,
      parameter: 'copper',
      uncertainty: { abs: 0.05, rel: 0.05 },
      ...(tankId && { tankId }),
    })
    const { journal: kits } = household(kit('shared'), kit('own', 'q'))
    expect([kitFor(kits, 'q', 'copper')?.id, kitFor(kits, 'hall', 'copper')?.id, kitFor(kits, 'q', 'no3')]).toEqual([
      'own',
      'shared',
      null,
    ])
  })
})

describe('animals', () => {
  const move = (
    day: number,
    animalId: string,
    fromTankId: string,
    toTankId: string,
    part?: Partial<Extract<Content, { kind: 'move' }>>,
  ): Content => ({
    kind: 'move',
    happened: at(day),
    animalId,
    fromTankId,
    toTankId,
    ...part,
  })

  test('an animal stays where it was last moved, and its stays join without a gap', () => {
    const { journal } = household(arrival('needle', 'q', 0, 1, 'Needle'), move(20, 'needle', 'q', 'obs'))
    const needle = animalById(journal, 'needle')!
    expect(needle.stays).toEqual([
      { tankId: 'q', from: Date.parse('2026-07-01T10:00:00Z'), to: ms(20) },
      { tankId: 'obs', from: ms(20), to: null },
    ])
    expect(residentsOf(journal, 'obs').map(animalLabel)).toEqual(['Needle'])
    expect(residentsOf(journal, 'q')).toEqual([])
  })

  test('a death in a group lowers the count; the last one ends it, with its cause', () => {
    const death = (day: number, count?: number, cause?: string): Content => ({
      kind: 'death',
      happened: at(day),
      animalId: 'tetras',
      tankId: 'study',
      ...(count && { count }),
      ...(cause && { cause }),
    })
    const { journal } = household(arrival('tetras', 'study', 0, 9), death(3), death(9, 8, 'heater failed'))
    const tetras = animalById(journal, 'tetras')!
    expect([countAt(tetras, ms(1)), countAt(tetras, ms(4)), tetras.count]).toEqual([9, 8, 0])
    expect(tetras.end).toEqual({ at: ms(9), how: 'died', cause: 'heater failed' })
    expect(residentsOf(journal, 'study')).toEqual([])
  })

  test('more deaths than there are animals end the group and no more', () => {
    const { journal } = household(arrival('shrimp', 'study', 0, 6), {
      kind: 'death',
      happened: at(1),
      animalId: 'shrimp',
      tankId: 'study',
      count: 60,
    })
    expect(animalById(journal, 'shrimp')).toMatchObject({ count: 0, changes: [{ by: -6 }] })
  })

  test('part of a group that moves is a group of its own from then on', () => {
    const { journal } = household(
      arrival('tetras', 'study', 0, 9),
      move(5, 'tetras', 'study', 'jar', { count: 3, newAnimalId: 'three' }),
    )
    expect(animalsOf(journal).map((animal) => [animal.id, animal.count, animal.stays.at(-1)!.tankId])).toEqual([
      ['tetras', 6, 'study'],
      ['three', 3, 'jar'],
    ])
    expect(animalLabel(animalById(journal, 'three')!)).toBe('3 longnose hawkfish')
  })

  test('a struck arrival takes the animal away', () => {
    const { journal, entries } = household(arrival('needle', 'q', 0))
    journal.add([{ id: 's', logged: at(1), strikes: entries[0]!.id }])
    expect(animalById(journal, 'needle')).toBeNull()
    expect(animalsOf(journal)).toEqual([])
  })
})

describe('the shelf', () => {
  const product: Content = {
    kind: 'product-setup',
    happened: at(0),
    productId: 'cu',
    name: 'copper bottle',
    ingredient: 'cu-chelated',
    strength: { kind: 'solution', mgPerMl: 10 },
    measure: { tool: '5 mL syringe', step: 0.1 },
    left: 100,
  }
  const dose = (day: number, amount: number): Content => ({
    kind: 'dose',
    happened: at(day),
    tankId: 'q',
    ingredient: 'cu-chelated',
    productId: 'cu',
    amount,
    unit: 'mL',
  })

  test('what is left is what was counted, less what was dosed since', () => {
    const { journal } = household(
      product,
      dose(1, 6),
      dose(2, 4),
      { kind: 'product-change', happened: at(3), productId: 'cu', changes: { left: 80 } },
      dose(4, 5),
    )
    expect(productById(journal, 'cu')).toMatchObject({ left: 75, unit: 'mL', mgPerUnit: 10 })
  })

  test('a struck dose is back in the bottle; a bottle is never less than empty', () => {
    const { journal, entries } = household(product, dose(1, 6), dose(2, 500))
    expect(productById(journal, 'cu')!.left).toBe(0)
    journal.add([{ id: 's', logged: at(5), strikes: entries[2]!.id }])
    expect(productById(journal, 'cu')!.left).toBe(94)
    expect(shelfOf(journal)).toHaveLength(1)
  })
})

test('the settings are those last set, and none before that', () => {
  const { journal, record } = household(copper('q', 0, 1))
  expect(settingsOf(journal)).toBeNull()
  const settings = (timeZone: string, day: number): Entry =>
    record({ kind: 'household', happened: at(day), timeZone, units: METRIC })
  journal.add([settings('Europe/Lisbon', 3), settings('Asia/Kathmandu', 2)])
  expect(settingsOf(journal)?.timeZone).toBe('Europe/Lisbon')
})

test('a name cannot turn the figures beside it round', () => {
  const { journal } = household(
    { ...bareTank('q', 'Quar\u202e12.5'), kind: 'tank-setup' } as Content,
    arrival('a', 'q', 1, 1, '\u202eNeedle'),
    arrival('b', 'q', 1, 1, 'سمكة'),
  )
  expect(tankById(journal, 'q')!.name).toBe('Quar12.5')
  expect(animalById(journal, 'a')!.name).toBe('Needle')
  expect(animalById(journal, 'b')!.name).toBe('\u2068سمكة\u2069')
})
