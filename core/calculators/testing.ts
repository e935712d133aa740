import { CALCULATORS, computed, type Answer, type Fault, type KnownProduct, type Values } from './calculators.ts'

/** A shelf for tests: copper in solution, a pure powder. */
export const SHELF: readonly KnownProduct[] = [
  {
    id: 'copper',
    name: 'copper bottle',
    ingredient: 'cu-chelated',
    strength: { kind: 'solution', mgPerMl: 10 },
    step: 0.1,
  },
  {
    id: 'prazi',
    name: 'praziquantel powder',
    ingredient: 'praziquantel',
    strength: { kind: 'powder', activeFraction: 1 },
    step: 0.01,
  },
]

/** The answer of a calculator with some shelf, or its faults as an error. */
export function answerFor(id: string, values: Values, shelf: readonly KnownProduct[]): Answer {
  const calculator = CALCULATORS.find((one) => one.id === id)!
  const result = computed(calculator, values, shelf)
  if ('faults' in result) throw new Error(`${id} ${JSON.stringify(values)}: ${JSON.stringify(result.faults)}`)
  return result.answer
}
/** The answer of a calculator with the shelf of these tests, or its faults as an error. */
export const answerOf = (id: string, values: Values): Answer => answerFor(id, values, SHELF)

/** What is wrong beside which field; empty where nothing is. */
export const faultsOf = (id: string, values: Values): Readonly<Record<string, Fault>> => {
  const result = computed(
    CALCULATORS.find((one) => one.id === id)!,
    values,
    SHELF,
  )
  return 'faults' in result ? result.faults : {}
}
