import { KEY, DINO_HABITS, SAMPLING } from '../handbook/microscope.data.ts'
import { ORGANISMS } from '../handbook/organisms.data.ts'
import { PLANS } from '../handbook/plans.data.ts'
import { askedSigns } from '../../diagnosis/signs.ts'
import type { CaseTable } from '../diagnosis/diagnosis.types.ts'
import { CELL_KINDS, cellKind } from './cell-kinds.data.ts'
import { KEY_STEPS } from './key-steps.data.ts'
import { NIGHT_HABITS } from './night-habits.data.ts'
import { SAMPLING_RUN } from './sampling-run.data.ts'

const organisms = new Map(ORGANISMS.rows.map((row) => [row.id, row]))

describe('kinds of cell', () => {
  test.each(CELL_KINDS.filter(({ conditions }) => conditions.length > 0).map((kind) => [kind.id, kind] as const))(
    '%s stands for conditions of the catalogue, with its size as the handbook writes it',
    (_, { conditions, lengthUm, widthUm, drawnLengthUm, drawnWidthUm }) => {
      for (const condition of conditions) expect(organisms.has(condition)).toBe(true)
      for (const [outer, inner] of [
        [lengthUm, drawnLengthUm],
        [widthUm, drawnWidthUm],
      ])
        if (outer && inner) {
          expect(inner[0]).toBeGreaterThanOrEqual(outer[0])
          expect(inner[1]).toBeLessThanOrEqual(outer[1])
        }
    },
  )
  test.each([
    ['diatoms', 'diatoms', '10-200'],
    ['ostreopsis', 'dino-ostreopsis', '30-65'],
    ['prorocentrum', 'dino-prorocentrum', '30-55'],
    ['coolia', 'dino-coolia', '25-45'],
    ['amphidinium-large', 'dino-amphidinium-large', '29-50'],
    ['amphidinium-small', 'dino-amphidinium-small', '12-25'],
    ['gambierdiscus', 'dino-gambierdiscus', '60-100'],
    ['chrysophytes', 'chrysophytes', '5-15'],
  ])('%s: the length stands in the row of %s', (id, condition, written) => {
    expect(organisms.get(condition)!.micro).toContain(written)
    expect(cellKind(id).lengthUm.join('-')).toBe(written)
  })
  test.each([
    ['cyano-chain', 'cyano-marine', '3-50 wide'],
    ['green-thread', 'gha-marine', '10-150 wide'],
  ])('%s: the width stands in the row of %s', (id, condition, written) => {
    expect(organisms.get(condition)!.micro).toContain(written)
    expect(`${cellKind(id).widthUm!.join('-')} wide`).toBe(written)
  })
  test('a kind that is none is refused by name', () => {
    expect(() => cellKind('whale')).toThrow('no kind of cell is called whale')
  })
})

describe('the key', () => {
  const rows = new Map(KEY.rows.map((row) => [row.id, row]))
  /** Every condition a row of the handbook names, and every row it leads to. */
  const namedIn = (text: string) => {
    const ids = [...text.matchAll(/[a-z]+(?:-[a-z]+)+|diatoms|chrysophytes|spirogyra|bryopsis|derbesia|cyano\b/g)].map(
      ([id]) => id,
    )
    return new Set(ids.filter((id) => organisms.has(id)))
  }

  test('asks every question of the handbook, in its order', () => {
    expect(KEY_STEPS.map(({ id }) => id)).toEqual(KEY.rows.map(({ id }) => id))
  })
  test('the names in the handbook’s rows are found: what leads where is held against them', () => {
    expect(new Set(KEY.rows.flatMap(({ yes, no }) => [...namedIn(`${yes} ${no}`)])).size).toBeGreaterThan(18)
  })
  test.each(KEY_STEPS.map((step) => [step.id, step] as const))('%s leads where the handbook leads', (id, step) => {
    const row = rows.get(id)!
    const found = new Set(step.choices.flatMap(({ leads }) => ('found' in leads ? leads.found.conditions : [])))
    for (const condition of namedIn(`${row.yes} ${row.no}`)) expect([...found]).toContain(condition)
    for (const condition of found) expect(organisms.has(condition)).toBe(true)
    const leadsTo = step.choices.flatMap(({ leads }) => ('to' in leads ? [leads.to] : []))
    expect(leadsTo.sort()).toEqual([row.yes, row.no].filter((next) => /^k\d+$/.test(next)).sort())
  })
  test('what an answer says are signs that its table asks', () => {
    for (const { id, choices } of KEY_STEPS)
      for (const { says = {} } of choices)
        for (const [table, signs] of Object.entries(says))
          for (const sign of Object.keys(signs))
            expect([id, sign, askedSigns(table as CaseTable).has(sign)]).toEqual([id, sign, true])
  })
  test('every sign under the microscope is answered by some way through the key', () => {
    for (const table of ['marine-film', 'freshwater-algae'] as const) {
      const said = new Set(
        KEY_STEPS.flatMap(({ choices }) =>
          choices.flatMap(({ says }) =>
            Object.entries(says?.[table] ?? {}).flatMap(([sign, answer]) => (answer === 'present' ? [sign] : [])),
          ),
        ),
      )
      for (const { id, group } of askedSigns(table).values()) if (group === 'micro') expect([...said]).toContain(id)
    }
  })
})

test('the sampling run has the handbook’s steps, and waits as long', () => {
  expect(SAMPLING_RUN.map(({ id }) => id)).toEqual(SAMPLING.rows.map(({ id }) => id))
  const settle = SAMPLING_RUN.find(({ id }) => id === 'm2')!
  expect(SAMPLING.rows.find(({ id }) => id === 'm2')!.detail).toContain('stand about 5 min')
  expect(settle.waitSeconds).toBe(5 * 60)
  for (const { why, does } of SAMPLING_RUN) expect(why.length * does.length).toBeGreaterThan(0)
  expect(SAMPLING_RUN[0]!.caution).toMatch(/gloves and goggles.*by mouth/i)
})

test('what dinoflagellates do at night is the handbook’s, with plans that there are', () => {
  expect(NIGHT_HABITS.map(({ condition }) => condition).sort()).toEqual(DINO_HABITS.rows.map(({ id }) => id).sort())
  for (const { condition, plans, at } of NIGHT_HABITS) {
    const row = DINO_HABITS.rows.find(({ id }) => id === condition)!
    expect(row.mainLever).toContain(plans[0] === 'algae-manual-grazers' ? 'remove host algae' : plans[0]!)
    expect(row.atNight).toContain(
      { water: 'water', sand: 'sand', part: 'part', mixed: 'mixed', attached: 'attached' }[at],
    )
    for (const plan of plans) expect(PLANS.rows.some(({ id }) => id === plan)).toBe(true)
  }
})
