import { headCountContents, headsIn } from '../../../core/household/head-count.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { HeadCount } from '../../schedule/HeadCount.tsx'
import type { ActProps } from './act-props.ts'
import { MeasureAct } from './MeasureAct.tsx'

/** Heads counted by name; as a number alone where no animal of the tank is on record. */
export function HeadCountAct(props: ActProps) {
  const { plan, task, next } = props
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const { tankId, id: courseId } = plan.course
  const animalIds = headsIn(journal, tankId)
  if (animalIds.length === 0) return <MeasureAct {...props} />
  return (
    <>
      <HeadCount
        animalIds={animalIds}
        next={next}
        busy={busy || task.state === 'ahead'}
        onDone={(heads) =>
          void keep(headCountContents(journal, { tankId, courseId, taskId: task.id }, animalIds, heads, thisInstant()))
        }
      />
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
