import { ADD_ONS } from './add-ons.data.ts'
import { CORAL_COURSES } from './corals.data.ts'
import type { Definition, Only } from './definition.ts'
import { FALLOW_COURSES } from './fallow.data.ts'
import { FURTHER_SCHOOLS } from './further-schools.data.ts'
import { PLAN_COURSES } from './plans.data.ts'
import { REST_COURSES } from './rest.data.ts'
import { SCHOOL_COURSES } from './schools.data.ts'
import { TRANSFER_COURSES } from './transfers.data.ts'

export type {
  Act,
  Condition,
  Definition,
  DefinitionProse,
  Hours,
  Only,
  Op,
  Option,
  Quantity,
  Role,
  Rule,
  ScheduleName,
  Step,
  Track,
} from './definition.ts'

/** Every course that the engine runs, by the handbooks’ own ids. */
export const DEFINITIONS: readonly Definition[] = [
  ...SCHOOL_COURSES,
  ...TRANSFER_COURSES,
  ...FURTHER_SCHOOLS,
  ...ADD_ONS,
  ...REST_COURSES,
  ...FALLOW_COURSES,
  ...CORAL_COURSES,
  ...PLAN_COURSES,
]

const byId = new Map(DEFINITIONS.map((definition) => [definition.id, definition]))

/**
 * The definition with this id.
 * @returns undefined for one that this version does not know
 * @example
 * definitionById('qt-c-hybrid')?.days // 12
 */
export const definitionById = (id: string): Definition | undefined => byId.get(id)

/** Whether a part belongs to a course with these options. */
const isChosen = (only: Only | undefined, { options }: Definition, chosen: Readonly<Record<string, string>>): boolean =>
  only === undefined ||
  only.is.includes(chosen[only.option] ?? options.find(({ id }) => id === only.option)?.choices[0]?.id ?? '')

/**
 * A definition with the parts that were chosen: tracks, steps, rules and products of other choices are left out.
 * @param chosen choice by option
 * @returns the definition itself where all of its parts belong
 */
export function withChosenParts(definition: Definition, chosen: Readonly<Record<string, string>>): Definition {
  const belongs = ({ only }: { only?: Only }) => isChosen(only, definition, chosen)
  const { tracks, steps, rules, products } = definition
  if ([...tracks, ...steps, ...rules, ...products].every(belongs)) return definition
  return {
    ...definition,
    tracks: tracks.filter(belongs),
    steps: steps.filter(belongs),
    rules: rules.filter(belongs),
    products: products.filter(belongs),
  }
}
