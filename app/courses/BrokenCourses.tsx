import { fullCourseName } from '../../core/courses/names.ts'
import { tankById } from '../../core/household/tanks.ts'
import { useHousehold } from '../journal/provider.tsx'
import { PlainLink } from '../look/buttons.ts'
import { Bar, Small } from '../look/text.ts'
import type { Running } from './usePlans.ts'

/** The courses that cannot be calculated: their tasks are not among what is due, and that is said. */
export function BrokenCourses({ broken }: Pick<Running, 'broken'>) {
  const { journal } = useHousehold()
  return broken.map(({ course, why }) => (
    <Bar key={course.id} $tone="act" role="alert">
      <strong>
        {fullCourseName(course)}, {tankById(journal, course.tankId)?.name}
      </strong>{' '}
      cannot be calculated: its tasks are not shown. That is a fault of Brinvo; its entries are kept. Go on by your own
      notes, and <PlainLink href="/records?safe">export the journal</PlainLink>.<Small>{why}</Small>
    </Bar>
  ))
}
