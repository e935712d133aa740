import { ramped, type Ward } from '../../courses/testing/ward.ts'
import { newcomerWaterConcerns } from './newcomer-concerns.ts'

const SHRIMP = { animalId: 's', species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 1 }
const FISH = { animalId: 'f', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }
const asked = (it: Ward, tankId: string, ...animals: (typeof SHRIMP)[]) =>
  newcomerWaterConcerns(it.journal, tankId, animals, it.ms(3, '12:00'))

test('a shrimp on its way into copper is told of before its bag is opened, the gravest first', () => {
  const [first, ...rest] = asked(ramped(), 'quar', FISH, SHRIMP)
  expect(first).toMatchObject({ severity: 'never' })
  expect(first!.words).toMatch(/copper, 2.25 mg.L, is in this water in Quarantine. Sexy shrimp: contraindicated/)
  expect(rest.map(({ severity }) => severity)).not.toContain('never')
})

test('of a fish it says which medicine stands in the water, and nothing of other water', () => {
  expect(asked(ramped(), 'quar', FISH).map(({ words }) => words)).toEqual([
    expect.stringMatching(/^Orchid dottyback comes into a running course/),
    expect.stringMatching(/^Chelated copper, 2.25 mg.L, is in this water in Quarantine/),
  ])
  expect(asked(ramped(), 'hall', FISH, SHRIMP)).toEqual([])
})
