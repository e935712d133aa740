import { useMemo } from 'react'
import { answersWith, type Answers } from '../../../core/diagnosis/asking.ts'
import { contextOf, settingOf, type CaseSubject, type KnownFromJournal } from '../../../core/diagnosis/context.ts'
import { rankCase, type CaseRanking } from '../../../core/diagnosis/ranking.ts'
import type { Setting } from '../../../core/catalogue/sign-tables/sign-tables.ts'
import { useHousehold } from '../../journal/provider.tsx'

/** How many of some answers say something. */
export const countOf = (answers: Answers): number =>
  Object.values(answers).filter((answer) => answer !== 'not-looked').length

/** What the keeper's answers and the journal's own knowledge come to. */
export interface Ranked {
  setting: Setting
  known: readonly KnownFromJournal[]
  /** The journal's answers with the keeper's over them. */
  answers: Answers
  ranking: CaseRanking
}

/**
 * The ranking of a case or of a look that is not kept yet.
 * @param own the keeper's answers: each comes before what the journal knows
 * @param at ms; as the journal stood then
 */
export function useRanking(subject: CaseSubject, own: Answers, at: number): Ranked {
  const { journal, settings, revision } = useHousehold()
  const { known, setting } = useMemo(
    () => ({ known: contextOf(journal, subject, settings, at), setting: settingOf(journal, subject, at) }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, subject, settings, at],
  )
  return useMemo(() => {
    const answers = answersWith(known, own)
    return { setting, known, answers, ranking: rankCase(subject.table, setting, answers) }
  }, [known, own, setting, subject.table])
}
