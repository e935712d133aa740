import type { Definition, Only } from './definition.ts'

export type {
  Act,
  Condition,
  CountMeasure,
  Definition,
  DefinitionProse,
  Hours,
  Only,
  Op,
  Option,
  PlanPage,
  Quantity,
  Role,
  Rule,
  RaiseStep,
  Step,
  Track,
} from './definition.ts'
export type { ScheduleName } from './schedule-name.ts'

/** Definitions that were loaded: all of them with `all-definitions.ts`, or those that a journal names with `load-definitions.ts`. */
const byId = new Map<string, Definition>()

/** Makes definitions known to `definitionById`. */
export function addDefinitions(definitions: readonly Definition[]): void {
  for (const definition of definitions) byId.set(definition.id, definition)
}

/**
 * The definition with this id.
 * @returns undefined for one that this version does not know, or that was not loaded
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
