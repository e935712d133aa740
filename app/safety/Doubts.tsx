import { lazy, Suspense, useState } from 'react'
import type { Content } from '../../core/journal/entry.ts'
import { isAnswered, NO_ANSWER, withAnswers, type Answer } from '../../core/safety/answers.ts'
import type { Concern } from '../../core/safety/concern.ts'
import type { Doubted } from '../../core/safety/guard.ts'
import { isGuarded } from '../../core/safety/guarded-kinds.ts'
import { thisInstant } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Bar, Stack } from '../look/text.ts'
import { guardNow, loadGuard, useGuard } from './guard-when-idle.ts'

/** Comes with the first concern: most days none is shown. */
const ConcernAnswer = lazy(async () => ({ default: (await import('./ConcernAnswer.tsx')).ConcernAnswer }))

/** What speaks of a tank and not of the animal: asked once for all that go there. */
const OF_THE_TANK: ReadonlySet<string> = new Set(['set-dry', 'open-case', 'running-plan'])

/** A concern of one content, with the words it is shown in. */
interface Asked {
  key: string
  concern: Concern
  words: string
}

export interface Doubts {
  asked: readonly Asked[]
  /** What is only told. */
  told: readonly string[]
  /** Whether everything asked is answered, so that it may be kept. */
  isClear: boolean
  /** What judges them is here: a press that comes before waits for it, and is not lost. */
  ready: () => Promise<void>
  /** The same of other contents than those that are shown: of what a form was just read as. */
  isClearFor: (contents: readonly Content[]) => boolean
  /** The contents with what was set aside of each. */
  answered: <C extends Content>(contents: readonly C[]) => C[]
  answerTo: (key: string) => Answer
  answer: (key: string, change: Partial<Answer>) => void
}

const keyOf = (content: Content, { rule, reason }: Concern) =>
  `${rule}|${'animalId' in content && !OF_THE_TANK.has(rule) ? content.animalId : ''}|${content.kind}|${reason}`

/**
 * What the water speaks against some contents that are about to be kept, and the keeper's answers.
 * @param contents as they would be kept now
 */
export function useDoubts(contents: readonly Content[]): Doubts {
  const { journal } = useHousehold()
  useGuard()
  const [answers, setAnswers] = useState<Readonly<Record<string, Answer>>>({})
  const answerTo = (key: string) => answers[key] ?? NO_ANSWER
  const now = thisInstant()
  const judged = <C extends Content>(all: readonly C[], at = now): Doubted<C>[] =>
    guardNow()?.doubtsOf(journal, all, { now: at }) ??
    all.map((content) => ({ content, doubt: { asks: [], tells: [] } }))
  const wordsOf = (content: Content, one: Concern) => guardNow()?.concernWords(journal, content, one) ?? ''
  const doubts = judged(contents)
  const asked = doubts
    .flatMap(({ content, doubt }) =>
      doubt.asks.map((concern) => ({
        key: keyOf(content, concern),
        concern,
        words: wordsOf(content, concern),
      })),
    )
    .filter((one, i, all) => all.findIndex(({ key }) => key === one.key) === i)
  // Until what judges them is here nothing is kept that it might speak against.
  const areAnswered = (all: readonly Doubted[]) =>
    all.every(
      ({ content, doubt }) =>
        (guardNow() !== null || !isGuarded(content)) &&
        doubt.asks.every((concern) => isAnswered(concern, answerTo(keyOf(content, concern)))),
    )
  return {
    asked,
    told: [...new Set(doubts.flatMap(({ content, doubt }) => doubt.tells.map((one) => wordsOf(content, one))))],
    isClear: areAnswered(doubts),
    ready: async () => void (await loadGuard()),
    isClearFor: (others) => areAnswered(judged(others)),
    answered: (kept) =>
      judged(kept, thisInstant()).map(({ content, doubt }) =>
        withAnswers(content, doubt.asks, (concern) => answerTo(keyOf(content, concern))),
      ),
    answerTo,
    answer: (key, change) => setAnswers((all) => ({ ...all, [key]: { ...(all[key] ?? NO_ANSWER), ...change } })),
  }
}

/** What speaks against it, before it is done, with what would set each aside. */
export function DoubtList({ doubts }: { doubts: Doubts }) {
  if (doubts.asked.length === 0 && doubts.told.length === 0) return null
  return (
    <Stack $gap={10}>
      {doubts.asked.map(({ key, concern, words }) => (
        <Suspense
          key={key}
          fallback={
            <Bar $tone="act" role="alert">
              {words}
            </Bar>
          }
        >
          <ConcernAnswer
            concern={concern}
            words={words}
            answer={doubts.answerTo(key)}
            onAnswer={(change) => doubts.answer(key, change)}
          />
        </Suspense>
      ))}
      {doubts.told.map((words) => (
        <Bar key={words} $tone="soon">
          {words}
        </Bar>
      ))}
    </Stack>
  )
}
