import { bathContent } from './task-contents.ts'
import type { Course } from '../course.ts'
import type { CourseTask } from '../tasks.ts'
import type { ActRead } from './act-read.ts'

/**
 * A bath as its form reads it.
 * @param answer litres of the tub and minutes in it; null where nothing that is a number was typed
 */
export function readBath(
  task: CourseTask,
  course: Course,
  { litres, minutes }: { litres: number | null; minutes: number | null },
  at: number,
): ActRead {
  const { bath } = task
  const problems: Record<string, { message: string }> = {}
  if (litres === null || !(litres > 0)) problems['litres'] = { message: 'the water in the tub, such as 4' }
  if (minutes === null || !(minutes > 0))
    problems['minutes'] = { message: `minutes, ${bath?.minutes[0]} by the handbook` }
  else if (bath && minutes > bath.minutes[1])
    problems['minutes'] = { message: `at most ${bath.minutes[1]} min: longer harms the gills` }
  const isNumber = litres !== null && litres > 0 && minutes !== null && minutes > 0
  const content = isNumber ? bathContent(task, course, at, { litres, minutes }) : null
  if (!content) return { problems }
  return Object.keys(problems).length > 0 ? { problems, proposed: [content] } : { contents: [content] }
}
