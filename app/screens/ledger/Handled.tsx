import { useContext } from 'react'
import { HANDLING_LIMITS } from '../../../core/handling/points.ts'
import { handlingOf } from '../../../core/handling/recorded.ts'
import { residentsOf } from '../../../core/household/animals.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { animalName } from '../../words/entries.ts'
import { PlansContext } from './plans.ts'
import { Who } from './who.ts'

/** Fish of a tank that are handled more than a healthy one should be, in the worst week around now. */
export function Handled({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const now = useNow()
  const plans = useContext(PlansContext)
  const heavy = residentsOf(journal, tank.id).flatMap(({ id }) => {
    const load = plans.some(({ course }) => course.animalIds.includes(id)) ? handlingOf(journal, id, plans, now) : null
    return load && load.worst > HANDLING_LIMITS.said ? [`${animalName(journal, id)} ${load.worst}`] : []
  })
  return heavy.length === 0 ? null : <Who>handling this week: {heavy.join(', ')}</Who>
}
