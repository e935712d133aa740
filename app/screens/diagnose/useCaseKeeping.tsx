import type { Case } from '../../../core/diagnosis/cases.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'

type Mark = Omit<ContentOf<'case-mark'>, 'kind' | 'happened' | 'caseId' | 'tankId'>

/** Keeps something of a case. */
export function useCaseKeeping({ id, tankId }: Case) {
  const { keep, busy, unkept, run } = useKeeping()
  const of = { caseId: id, tankId }
  return {
    busy,
    run,
    note: unkept && <UnkeptNote unkept={unkept} />,
    mark: (rest: Mark) => keep([{ kind: 'case-mark', happened: iso(thisInstant()), ...of, ...rest }]),
    end: (rest: Pick<ContentOf<'case-end'>, 'outcome' | 'cause' | 'words'>) =>
      keep([{ kind: 'case-end', happened: iso(thisInstant()), ...of, ...rest }]),
  }
}
