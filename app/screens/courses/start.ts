import { rampOf } from '../../../core/catalogue/treatments/treatments.ts'
import type { Concern } from '../../../core/safety/concerns.ts'
import type { CopperChoice } from '../../../core/courses/copper-choices.ts'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { residentsOf, type Animal } from '../../../core/household/animals.ts'
import type { ShelfProduct } from '../../../core/household/shelf.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import type { Problem } from '../../fields/shell.tsx'

/** What stands in the fields of a course about to start. */
export interface StartValues {
  tankId: string
  doseId: string
  length: string
  animalIds: string[]
  productId: string
  rampHours: string
  direct: boolean
  readAt: string
  moveToTankId: string
  /** Per concern that may be set aside: the keeper's word, and whether a veterinarian agreed. */
  whys: Record<string, string>
  agreed: Record<string, boolean>
}

/** The fish of a tank: what a course of copper is for. */
export const fishIn = (journal: Journal, tankId: string): Animal[] =>
  residentsOf(journal, tankId).filter(({ group }) => animalGroupById(group)?.kind === 'fish')

/** A name for a concern that a form field can carry. */
export const concernKey = ({ rule, what }: Concern): string => `${rule}-${what}`.replace(/[^a-z0-9-]+/gi, '_')

/** Steps of the ramp that may be chosen: the handbook's least and most hours between two. */
export function rampChoices(agent: string): number[] {
  const [least, most] = rampOf(agent).intervalHours ?? [24, 24]
  return [...new Set([most, least])]
}

interface StartContext {
  tank: Tank | null
  choice: CopperChoice | undefined
  product: ShelfProduct | null
  concerns: readonly Concern[]
  /** Whether straight to the dose is allowed. */
  directAllowed: boolean
  /** Whether another course runs in that water. */
  isTaken: boolean
}

/** What stands in the way of starting, beside which field; empty when nothing does. */
export function startProblems(
  { animalIds, moveToTankId, length, readAt, direct, whys, agreed, productId }: StartValues,
  { tank, choice, product, concerns, directAllowed, isTaken }: StartContext,
): Record<string, Problem> {
  const problems: Record<string, Problem> = {}
  if (!tank) problems['tankId'] = { message: 'which tank' }
  else if (tank.volume === null || !(tank.volume.netL > 0))
    problems['tankId'] = { message: `the net volume of ${tank.name} is not worked out: fill in its sheet first` }
  else if (isTaken) problems['tankId'] = { message: `a course runs in ${tank.name} already: finish or stop it first` }
  if (!choice?.allowed) problems['length'] = { message: choice?.why ?? 'which length' }
  if (animalIds.length === 0) problems['animalIds'] = { message: 'which fish it is for' }
  if (!product)
    problems['productId'] = {
      message: productId === '' ? 'a product from the shelf, with its strength' : 'a product of this form of copper',
    }
  if (length === 'fourteen-then-move' && moveToTankId === '')
    problems['moveToTankId'] = { message: 'the sterile tank the fish move to' }
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(readAt)) problems['readAt'] = { message: 'a time such as 08:00' }
  if (direct && !directAllowed) problems['direct'] = { message: 'not allowed here: the ramp is slow on purpose' }
  for (const concern of concerns) {
    const key = concernKey(concern)
    const why = whys[key]?.trim() ?? ''
    if (concern.override === 'none') problems[`never-${key}`] = { message: 'there is no way round this' }
    else if (concern.severity === 'note') continue
    else if (concern.severity === 'caution') {
      if (!agreed[key]) problems[key] = { message: 'read it, and tick that you have' }
    } else if (why === '') problems[key] = { message: 'why it is done all the same, in a few words' }
    else if (concern.override === 'reason-and-vet' && !agreed[key])
      problems[key] = { message: 'only when a veterinarian has agreed' }
  }
  return problems
}

/** What is kept of a caution that was read and ticked. */
const CONFIRMED = 'read and confirmed'

/** The entry that starts the course. */
export function startContent(
  values: StartValues,
  { concerns, choice }: StartContext,
  { courseId, happened, kitId }: { courseId: string; happened: string; kitId: string | undefined },
): ContentOf<'course-start'> {
  const overrides = concerns
    .filter(({ severity }) => severity === 'block' || severity === 'caution')
    .map((concern) => ({
      rule: concern.rule,
      why: values.whys[concernKey(concern)]?.trim() || CONFIRMED,
      vetAgreed: values.agreed[concernKey(concern)] ?? false,
    }))
  return {
    kind: 'course-start',
    happened,
    courseId,
    tankId: values.tankId,
    protocol: choice!.length === 'thirty' ? 'qt-a-cu30' : 'qt-b-drug14',
    doseId: values.doseId,
    animalIds: values.animalIds,
    productId: values.productId,
    ...(kitId !== undefined && { kitId }),
    rampHours: Number(values.rampHours),
    ...(values.direct && { direct: true }),
    readAt: values.readAt,
    ...(choice!.length === 'fourteen-then-move' && { moveToTankId: values.moveToTankId }),
    ...(overrides.length > 0 && { overrides }),
  }
}
