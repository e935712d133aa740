import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router'
import type { Answer, CaseTable } from '../../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { Answers } from '../../../../core/diagnosis/asking.ts'
import { answersOf, caseById, casesOf, type Case } from '../../../../core/diagnosis/cases.ts'
import { tankById, tanksOf, type Tank } from '../../../../core/household/tanks.ts'
import { iso } from '../../../../core/time/zone.ts'
import { useDraft } from '../../../fields/draft.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { MICROSCOPE_TABLES } from '../subjects.ts'
import { lookDraftName } from '../look-draft.ts'

const filmTable = ({ water }: Tank): CaseTable => (water === 'marine' ? 'marine-film' : 'freshwater-algae')

/** What the drop under the microscope is of. */
export interface MicroscopeSubject {
  tank: Tank
  /** The case it is looked at for; null without one. */
  one: Case | null
  /** Open cases of the tank that the microscope could be for. */
  open: readonly Case[]
  table: CaseTable
  own: Answers
  /** Keeps answers: with the case, or in the look that may become one. */
  answer: (signs: readonly { sign: string; answer: Answer }[]) => Promise<boolean>
  /** Keeps a cause of the case as confirmed by the microscope. */
  confirm: (condition: string, words: string) => Promise<boolean>
  keeping: ReturnType<typeof useKeeping>
  /** The address of a part of the microscope, for the same drop. */
  addressOf: (part: string) => string
}

/** Which tank and case the address names; without a tank the first marine one. Null while there is no tank. */
export function useAskedDrop(): { tank: Tank; one: Case | null } | null {
  const { journal } = useHousehold()
  const [params] = useSearchParams()
  const asked = params.get('case')
  const named = asked === null ? null : caseById(journal, asked)
  // A closed case takes no answers: a drop of today is something new.
  const one = named?.ended === null ? named : null
  const tanks = tanksOf(journal)
  const tank =
    tankById(journal, named?.start.tankId ?? params.get('tank') ?? '') ??
    tanks.find(({ water }) => water === 'marine') ??
    tanks[0]
  return tank ? { tank, one } : null
}

/** A drop with its answers and where they are kept. The component that asks is made again for another drop: drafts are read once. */
export function useMicroscopeSubject({ tank, one }: { tank: Tank; one: Case | null }): MicroscopeSubject {
  const { journal, which } = useHousehold()
  const keeping = useKeeping()
  const table = one?.start.table ?? filmTable(tank)
  const [drafted, change] = useDraft(lookDraftName(which, { tankId: tank.id, table, animalIds: [] }))
  const own = useMemo(() => (one ? answersOf(one) : (drafted as Answers)), [one, drafted])
  const { keep } = keeping
  const answer = useCallback(
    async (signs: readonly { sign: string; answer: Answer }[]): Promise<boolean> => {
      if (signs.length === 0) return true
      if (one === null) {
        for (const { sign, answer: said } of signs) change(sign, said)
        return true
      }
      const happened = iso(thisInstant())
      const mark = { caseId: one.id, tankId: tank.id, mark: 'signs' as const, signs: [...signs] }
      return (await keep([{ kind: 'case-mark', happened, ...mark }])) !== null
    },
    [one, tank, change, keep],
  )
  const confirm = async (cause: string, words: string): Promise<boolean> => {
    if (one === null) return false
    const mark = { caseId: one.id, tankId: tank.id, mark: 'confirmed' as const, cause, words }
    return (await keep([{ kind: 'case-mark', happened: iso(thisInstant()), ...mark }])) !== null
  }
  const of = new URLSearchParams({ tank: tank.id, ...(one && { case: one.id }) }).toString()
  return {
    tank,
    one,
    open: casesOf(journal).filter(
      ({ ended, start }) => ended === null && start.tankId === tank.id && MICROSCOPE_TABLES.includes(start.table),
    ),
    table,
    own,
    answer,
    confirm,
    keeping,
    addressOf: (part) => `/diagnose/microscope/${part}?${of}`,
  }
}
