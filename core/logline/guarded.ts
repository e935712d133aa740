import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { tankById } from '../household/tanks.ts'
import { isAnswered, NO_ANSWER, withAnswers, type Answer } from '../safety/answers.ts'
import type { Concern } from '../safety/concern.ts'
import { concernWords, doubtOf } from '../safety/guard.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, unclear, type Choice, type LogContext, type Stop } from './types.ts'

const ANYWAY = 'anyway'
const HAPPENED = 'happened'

/** Splits the words of a line from an answer at their end: `anyway`, `anyway because … vet no`, `happened because …`. */
export function answerAtEnd(line: string, tokens: readonly Token[]): { body: readonly Token[]; answer: Answer | null } {
  const at = tokens.findIndex(({ key }) => key === ANYWAY || key === HAPPENED)
  if (at < 0) return { body: tokens, answer: null }
  let rest = tokens.slice(at + 1)
  let vetAgreed: boolean | null = null
  const last = rest.at(-1)?.key ?? ''
  if (rest.at(-2)?.key === 'vet' && /^(yes|no|agreed)$/.test(last)) {
    vetAgreed = last !== 'no'
    rest = rest.slice(0, -2)
  }
  if (rest[0]?.key === 'because') rest = rest.slice(1)
  const why = rest[0] ? line.slice(rest[0].from, rest.at(-1)!.to) : ''
  const hasHappened = tokens[at]!.key === HAPPENED
  return { body: tokens.slice(0, at), answer: { why, vetAgreed, isRead: !hasHappened, hasHappened } }
}

/** What a line is about, where its question may be put right by another word of it. */
export interface Asked {
  /** The words that name the tank. */
  tankAt?: { from: number; to: number }
  /** The line with the amount that would be right. */
  rather?: (concern: Concern) => Choice | null
}

/**
 * Asks about contents that their water speaks against; with an answer on the line keeps what was set aside with them.
 * @param body the words without the answer: ways to go on are put after them
 */
export function guarded(
  line: string,
  body: readonly Token[],
  contents: readonly Content[],
  answer: Answer | null,
  { journal, now, correcting }: LogContext,
  asked: Asked = {},
): { contents: Content[]; notices: string[] } | Stop {
  const notices: string[] = []
  const kept: Content[] = []
  for (const content of contents) {
    const { asks, tells } = doubtOf(journal, content, { now, ...(correcting !== undefined && { except: correcting }) })
    notices.push(...tells.map((concern) => concernWords(journal, content, concern)))
    const open = asks.filter((concern) => !isAnswered(concern, answer ?? NO_ANSWER))
    if (open.length > 0) return questionOf(line, body, content, asks, open, answer, journal, asked)
    kept.push(withAnswers(content, asks, () => answer ?? NO_ANSWER))
  }
  return { contents: kept, notices: [...new Set(notices)] }
}

/** The same line for another tank. */
const otherTanks = (line: string, journal: Journal, { tankIds = [] }: Concern, tankAt: Asked['tankAt']): Choice[] =>
  tankAt === undefined
    ? []
    : tankIds.flatMap((id) => {
        const tank = tankById(journal, id)
        return tank ? [{ label: `it was ${tank.name}`, text: replaceToken(line, tankAt, tank.short) }] : []
      })

function questionOf(
  line: string,
  body: readonly Token[],
  content: Content,
  asks: readonly Concern[],
  open: readonly Concern[],
  answer: Answer | null,
  journal: Journal,
  { tankAt, rather }: Asked,
): Stop {
  const end = body.at(-1)!.to
  const tail = (words: string) => `${line.slice(0, end)} ${words}`
  const question = asks.map((concern) => concernWords(journal, content, concern)).join(' ')
  const instead = asks.flatMap((concern) =>
    [rather?.(concern) ?? [], otherTanks(line, journal, concern, tankAt)].flat(),
  )
  const isNever = open.some(({ override }) => override === 'none')
  const needsVet = open.some(({ override }) => override === 'reason-and-vet')
  const needsReason = open.some(({ override }) => override !== 'confirm')
  const happened = { label: 'it has happened already: say what happened', text: tail(`${HAPPENED} because `) }
  if (answer?.hasHappened) return unclear(`${question} Write what happened, after “${HAPPENED} because”`)
  if (isNever) return choose(question, [...instead, happened])
  if (answer === null)
    return choose(question, [
      ...instead,
      needsVet
        ? { label: 'a reason, and whether a vet has agreed', text: tail(`${ANYWAY} because `) }
        : needsReason
          ? { label: 'continue anyway: a reason', text: tail(`${ANYWAY} because `) }
          : { label: 'I have read this', text: tail(ANYWAY) },
      ...(needsReason ? [happened] : []),
    ])
  return unclear(
    needsVet
      ? `${question} Write why, and end with “vet yes” or “vet no”: whether a licensed aquatic veterinarian has agreed`
      : `${question} Write why, after “${ANYWAY} because”`,
  )
}
