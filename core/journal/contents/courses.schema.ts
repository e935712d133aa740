import Type, { type Static } from 'typebox'
import { instant, oneOf, positive, strict } from '../../schema/types.ts'
import { content, id, opt, overrides, wallTime, words } from './parts.schema.ts'

export const Task = content(
  'task',
  {
    taskId: Type.String({ minLength: 1, maxLength: 120, description: 'as the schedule names it' }),
    tankId: id(),
    courseId: opt(id()),
    state: oneOf(['done', 'skipped', 'postponed'] as const),
    until: opt(instant('postponed to')),
    why: opt(words()),
  },
  'a task of the schedule is done, skipped or postponed',
)

/** Ids by a key of the definition: `main` → a tank, `peroxide-bath` → a product, `days` → "14". */
const idsByKey = (description: string) =>
  Type.Unsafe<Record<string, string>>({
    type: 'object',
    maxProperties: 20,
    propertyNames: { pattern: '^[A-Za-z0-9_-]{1,64}$' },
    additionalProperties: { type: 'string', minLength: 1, maxLength: 64, pattern: '^[A-Za-z0-9_.-]+$' },
    description,
  })

const courseProperties = {
  animalIds: Type.Array(id(), { maxItems: 200 }),
  partIds: opt(Type.Array(id(), { maxItems: 200, description: 'patches, rocks, corals, plants, jars' })),
  options: opt(idsByKey('what was chosen, by option of the definition')),
  products: opt(idsByKey('what is dosed, by dose of the catalogue')),
  productId: opt(id('format 1: what it is dosed with')),
  kitId: opt(id('what it is tested with')),
  rampHours: opt(positive('hours between the steps up to the dose')),
  direct: opt(Type.Boolean({ description: 'straight to the dose, where the handbook allows it' })),
  readAt: opt(wallTime('when the daily reading is due, on the wall clock')),
  moveToTankId: opt(id('format 1: the sterile observation tank')),
  overrides: overrides(),
}
const courseDescription = strict({ ...courseProperties, tanks: opt(idsByKey('tanks by role')) })
const courseChanges = Type.Unsafe<Partial<Static<typeof courseDescription>>>(Type.Partial(courseDescription))

export const CourseStart = content(
  'course-start',
  {
    courseId: id(),
    definition: opt(id('of the catalogue of courses; format 1 says protocol')),
    tanks: opt(idsByKey('tanks by role: main, other, observe, tub; format 1 says tankId')),
    tankId: opt(id('format 1: the tank it runs in')),
    protocol: opt(id('format 1: the school')),
    doseId: opt(id('format 1: the dose')),
    caseId: opt(id('the diagnosis it answers')),
    withCourseId: opt(id('the course that it is added to')),
    ...courseProperties,
  },
  'a course begins: a treatment, a quarantine or a plan over days; it may lie ahead',
)
export const CourseMark = content(
  'course-mark',
  {
    courseId: id(),
    anchor: oneOf(['end'] as const),
    rule: opt(id('the rule that asked for it')),
    why: opt(words()),
  },
  'the treatment of a course ends; what comes after counts from here',
)
export const CourseChange = content(
  'course-change',
  { courseId: id(), changes: courseChanges, overrides: overrides() },
  'how a course is run changes',
)
export const CourseEvent = content(
  'course-event',
  {
    courseId: id(),
    event: oneOf(
      ['carbon-left-in', 'new-fish-added', 'cross-contamination', 'sign-seen', 'unexplained-death'] as const,
      'of the catalogue’s clock events',
    ),
  },
  'something that changes the count of a course and that nothing else in the journal tells',
)
export const CourseEnd = content(
  'course-end',
  { courseId: id(), outcome: oneOf(['finished', 'stopped'] as const), why: opt(words()) },
  'a course is over',
)

export const Away = content(
  'away',
  { from: instant(), until: instant() },
  'nobody is at home: what may move is moved, what cannot be kept is said',
)
export const Chore = content(
  'chore',
  {
    choreId: id(),
    name: opt(Type.String({ minLength: 1, maxLength: 80 })),
    tankId: opt(id()),
    everyDays: opt(Type.Integer({ minimum: 1, maximum: 3650 })),
    gearId: opt(id('the tool it is done with')),
    retired: opt(Type.Boolean()),
  },
  'a task of the keeper’s own that comes again; a later entry of the same choreId changes it',
)
