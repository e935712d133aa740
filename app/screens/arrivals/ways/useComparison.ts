import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { BoxPlan, BoxQuestion } from '../../../../core/acclimation/together.ts'
import type { Result } from '../../../../core/result/result.ts'
import { coreThread } from '../../../worker/thread.ts'
import { Cancelled } from '../../../worker/core-thread.ts'

/** The question being worked on, whose end the next one waits for. */
let turn: Promise<unknown> = Promise.resolve()

/**
 * Asks the worker for the ways of a box. One question at a time: while one is worked out, of those typed meanwhile only the
 * newest is asked, so that the answer to the last key is never behind a queue.
 */
function ask(question: BoxQuestion, signal: AbortSignal): Promise<Result<BoxPlan>> {
  const answer = turn
    .catch(() => {})
    .then(() => {
      if (signal.aborted) throw new Cancelled()
      return coreThread.run('acclimation.compare', question)
    })
  turn = answer
  return answer
}

/** A plan, and the question that it answers: what is typed meanwhile is another. */
export interface Answered {
  plan: BoxPlan
  question: BoxQuestion
}

/** The ways of a box, worked out in the worker; the last answer stays while a new one is on its way. */
export function useComparison(question: BoxQuestion | null) {
  const { data, isPlaceholderData, isFetching } = useQuery({
    queryKey: ['acclimation', question],
    queryFn: async ({ signal }) => ({ question: question!, result: await ask(question!, signal) }),
    enabled: question !== null,
    placeholderData: keepPreviousData,
    // Thousands of points: comparing them one by one would cost more than drawing them.
    structuralSharing: false,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  })
  const answered = useMemo(
    (): Answered | null => (data?.result.ok ? { plan: data.result.value, question: data.question } : null),
    [data],
  )
  return {
    answered,
    refusal: data && !data.result.ok ? data.result.error : null,
    /** The answer shown is not yet the one to what is typed. */
    isBehind: question === null || isPlaceholderData || (isFetching && !data),
  }
}
