import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { raiseCourse } from './raise-course.ts'

test('every value that is raised leads to a plan that has it among its choices or its tests', () => {
  for (const id of ['k', 'ca', 'mg', 'alk-kh', 'no3', 'po4']) {
    const { definition, choice } = raiseCourse(id)!
    const { options, steps } = DEFINITIONS.find((one) => one.id === definition)!
    const known = [
      ...options.flatMap(({ choices }) => choices.map((one) => one.id)),
      ...steps.flatMap(({ parameters = [] }) => parameters),
    ]
    expect([id, known.includes(choice)]).toEqual([id, true])
  }
  expect(raiseCourse('temp')).toBeNull()
})
