import type { Answer, CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { ORGANISMS } from '../catalogue/handbook/organisms.data.ts'
import { KEY_STEPS } from '../catalogue/microscope/key-steps.data.ts'
import { CELL_KINDS } from '../catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId, KeyChoice, KeyFind, KeyStep } from '../catalogue/microscope/microscope.types.ts'
import type { Answers } from '../diagnosis/asking.ts'
import type { Tank } from '../household/tanks.ts'

/** An answer that was given to the key, with the signs it wrote and what stood there before: taking it back puts that back. */
export interface KeyAnswer {
  step: string
  choice: string
  wrote: readonly { sign: string; before: Answer }[]
}

const FIRST = 'k1'
const byId = new Map(KEY_STEPS.map((step) => [step.id, step]))

/** The question of that id, or the one that stands for it in that water. */
function stepIn(id: string, water: Tank['water']): KeyStep {
  const step = byId.get(id)
  if (!step) throw new RangeError(`the key has no question ${id}`)
  return step.only && step.only.water !== water ? stepIn(step.only.else, water) : step
}

/** A question by its id; null for one that an older version asked. */
export const keyStep = (id: string): KeyStep | null => byId.get(id) ?? null

/** The conditions of a find that can be in that water. */
export const conditionsIn = ({ conditions }: KeyFind, water: Tank['water']): string[] =>
  conditions.filter((id) => {
    const domain = ORGANISMS.rows.find((row) => row.id === id)?.domain
    return domain === undefined || domain === 'both' || domain === (water === 'marine' ? 'marine' : 'fresh')
  })

/** The kinds of cell that stand for a find. */
export const kindsFound = ({ conditions }: KeyFind): CellKindId[] =>
  CELL_KINDS.filter((kind) => kind.conditions.some((condition) => conditions.includes(condition))).map(({ id }) => id)

/** Where some answers have led: to a question, to what was found, or to a new start. */
export type KeyPlace =
  { at: 'question'; step: KeyStep } | { at: 'found'; find: KeyFind } | { at: 'again'; words: string }

/**
 * Walks the key by the answers that were given; answers that no longer fit its questions are left out.
 * @param water of the tank: some questions are asked of seawater only
 * @example
 * walkKey([{ step: 'k1', choice: 'yes', wrote: [] }], 'marine') // { at: 'question', step: k6 }
 */
export function walkKey(given: readonly KeyAnswer[], water: Tank['water']): KeyPlace {
  let step = stepIn(FIRST, water)
  for (const { step: id, choice: chosen } of given) {
    const choice = id === step.id && step.choices.find((one) => one.id === chosen)
    if (!choice) break
    if ('found' in choice.leads) return { at: 'found', find: choice.leads.found }
    if ('again' in choice.leads) return { at: 'again', words: choice.leads.again }
    step = stepIn(choice.leads.to, water)
  }
  return { at: 'question', step }
}

/**
 * What an answer says of the signs of a case. One kind of cell at a time goes through the key, and a sample may hold two: that this one
 * lacks a sign does not take back that another has shown it.
 */
export function signsSaid(
  choice: KeyChoice,
  table: CaseTable,
  answers: Answers,
): { sign: string; answer: Exclude<Answer, 'not-looked'> }[] {
  return Object.entries(choice.says?.[table] ?? {}).flatMap(([sign, answer]) =>
    answer === 'not-looked' || answers[sign] === answer || (answer === 'absent' && answers[sign] === 'present')
      ? []
      : [{ sign, answer }],
  )
}

/** Questions answered so far and the longest way that may be left, for “question 3 of at most 9”. */
export function questionsLeft(place: KeyPlace, water: Tank['water']): number {
  const depth = (step: KeyStep): number =>
    1 + Math.max(0, ...step.choices.map(({ leads }) => ('to' in leads ? depth(stepIn(leads.to, water)) : 0)))
  return place.at === 'question' ? depth(place.step) : 0
}
