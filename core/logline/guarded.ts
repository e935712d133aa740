import type { Content, ContentOf } from '../journal/entry.ts'
import type { Concern } from '../safety/concerns.ts'
import { concernWords, doubtOf, type Doubt, type SetAside } from '../safety/guard.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, unclear, type LogContext, type Stop } from './types.ts'

/** Contents that the water they go into may speak against. */
export type Guarded = ContentOf<'dose'> | ContentOf<'equipment'> | ContentOf<'move'> | ContentOf<'bath'>

/** What was typed after the thing itself to set a doubt aside: `anyway`, `anyway because … vet no`, `happened`. */
export interface Answer {
  /** It was done, whatever speaks against it. */
  word: 'anyway' | 'happened'
  why: string
  vetAgreed: boolean | null
}

const ANYWAY = 'anyway'
const HAPPENED = 'happened'

/** Parts the words of a line from an answer at their end. */
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
  return { body: tokens.slice(0, at), answer: { word: tokens[at]!.key as Answer['word'], why, vetAgreed } }
}

/** What is kept of an answer for each thing it sets aside. */
const setAside = (concerns: readonly Concern[], { why, vetAgreed }: Answer, fallback: string): SetAside[] =>
  concerns.map(({ rule }) => ({ rule, why: why || fallback, vetAgreed: vetAgreed ?? false }))

/**
 * Asks about contents that the water speaks against; with an answer on the line keeps what was set aside with them.
 * @param body the words without the answer: ways to go on are put after them
 */
export function guarded<C extends Guarded>(
  line: string,
  body: readonly Token[],
  contents: readonly C[],
  answer: Answer | null,
  { journal, now, correcting }: LogContext,
  rather?: (concern: Concern) => { label: string; text: string } | null,
): { contents: C[]; notices: string[] } | Stop {
  const notices: string[] = []
  const kept: C[] = []
  for (const content of contents) {
    const doubt = doubtOf(journal, content, { now, ...(correcting !== undefined && { except: correcting }) })
    const [gravest] = doubt.asks
    notices.push(...doubt.tells.map((concern) => concernWords(journal, content, concern)))
    if (!gravest) {
      kept.push(content)
      continue
    }
    const stop = questionOf(line, body, content, doubt, answer, journal, rather)
    if (stop) return stop
    const overrides = [...(content.overrides ?? []), ...setAside(doubt.asks, answer!, 'kept as it happened')]
    kept.push({ ...content, overrides })
  }
  return { contents: kept, notices }
}

function questionOf(
  line: string,
  body: readonly Token[],
  content: Content,
  { asks }: Doubt,
  answer: Answer | null,
  journal: LogContext['journal'],
  rather?: (concern: Concern) => { label: string; text: string } | null,
): Stop | null {
  const gravest = asks[0]!
  const end = body.at(-1)!.to
  const tail = (words: string) => replaceToken(line, { from: end, to: end }, ` ${words}`)
  const question = asks.map((concern) => concernWords(journal, content, concern)).join(' ')
  const instead = asks.flatMap((concern) => rather?.(concern) ?? [])
  const needsVet = asks.some(({ override }) => override === 'reason-and-vet')
  if (gravest.severity === 'never')
    return answer?.word === HAPPENED
      ? null
      : choose(question, [
          ...instead,
          { label: 'it has happened already: keep it as an accident', text: tail(HAPPENED) },
        ])
  if (answer === null)
    return choose(question, [
      ...instead,
      needsVet
        ? { label: 'a reason, and whether a vet has agreed', text: tail('anyway because ') }
        : { label: content.kind === 'dose' ? 'it was dosed so: keep it' : 'keep it', text: tail(ANYWAY) },
      ...(needsVet ? [{ label: 'it has happened already: keep it', text: tail(HAPPENED) }] : []),
    ])
  if (answer.word === HAPPENED || !needsVet || (answer.why !== '' && answer.vetAgreed !== null)) return null
  return unclear(
    `${question} Write why, and end with “vet yes” or “vet no”: whether a licensed aquatic veterinarian has agreed`,
  )
}
