import Type, { type Static } from 'typebox'
import { instant, oneOf, positive, strict } from '../../schema/types.ts'
import { content, id, opt, overrides, words } from './parts.schema.ts'

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

const courseProperties = {
  animalIds: Type.Array(id(), { maxItems: 200 }),
  productId: opt(id('what it is dosed with')),
  kitId: opt(id('what it is tested with')),
  rampHours: opt(positive('hours between the steps up to the dose')),
  direct: opt(Type.Boolean({ description: 'straight to the dose, where the handbook allows it' })),
  readAt: opt(
    Type.String({
      pattern: '^([01]\\d|2[0-3]):[0-5]\\d$',
      description: 'when the daily reading is due, on the wall clock',
    }),
  ),
  moveToTankId: opt(id('the sterile observation tank')),
  overrides: overrides(),
}
const courseDescription = strict(courseProperties)
const courseChanges = Type.Unsafe<Partial<Static<typeof courseDescription>>>(Type.Partial(courseDescription))

export const CourseStart = content(
  'course-start',
  {
    courseId: id(),
    tankId: id(),
    protocol: id('of the catalogue'),
    doseId: id('of the catalogue'),
    ...courseProperties,
  },
  'a treatment over days begins in a tank',
)
export const CourseChange = content(
  'course-change',
  { courseId: id(), changes: courseChanges },
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
