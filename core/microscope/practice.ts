import { cellKind, CELL_KINDS } from '../catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId } from '../catalogue/microscope/microscope.types.ts'
import { RandomStream } from '../numbers/random.ts'

/** A field to be named. */
export interface Round {
  kinds: readonly CellKindId[]
  seed: number
}

/** How often a kind was there, and was named. */
export interface KindScore {
  seen: number
  right: number
}

/** What was guessed until now. */
export interface Score {
  rounds: number
  right: number
  /** Right ones in a row, up to the last. */
  inARow: number
  kinds: Partial<Record<CellKindId, KindScore>>
}

export const NO_SCORE: Score = { rounds: 0, right: 0, inARow: 0, kinds: {} }

/** Kinds that can be asked: sand lies in every field. */
export const ASKED_KINDS: readonly CellKindId[] = CELL_KINDS.filter(({ tally }) => tally !== null).map(({ id }) => id)

/** Share of fields that hold two kinds (EA). */
const MIXED_SHARE = 0.35
/** Kinds whose difference is a length alone: never both in one field, nobody could name the second. */
const SAME_SHAPE: readonly (readonly [CellKindId, CellKindId])[] = [['amphidinium-large', 'amphidinium-small']]

/** How likely a kind is asked: three times as often when it was never named right. */
function weight({ kinds }: Score, kind: CellKindId): number {
  const { seen = 0, right = 0 } = kinds[kind] ?? {}
  return 1 + (2 * (1 + seen - right)) / (1 + seen)
}

function pick(score: Score, from: readonly CellKindId[], random: RandomStream): CellKindId {
  const weights = from.map((kind) => weight(score, kind))
  let left = random.next() * weights.reduce((sum, one) => sum + one, 0)
  return from.find((_, i) => (left -= weights[i]!) <= 0) ?? from.at(-1)!
}

/** A new field: one kind or two, those more often that were missed before. */
export function nextRound(score: Score, seed: number): Round {
  const random = new RandomStream(seed)
  const first = pick(score, ASKED_KINDS, random)
  if (random.next() >= MIXED_SHARE) return { kinds: [first], seed }
  const clashes = (kind: CellKindId) =>
    kind === first || SAME_SHAPE.some((pair) => pair.includes(kind) && pair.includes(first))
  return {
    kinds: [
      first,
      pick(
        score,
        ASKED_KINDS.filter((kind) => !clashes(kind)),
        random,
      ),
    ],
    seed,
  }
}

/** What a guess was worth, with what gave each away. */
export interface Judged {
  isRight: boolean
  /** Sentences: of what is there, then of what was named and is not. */
  there: { kind: CellKindId; wasNamed: boolean; words: string }[]
  notThere: { kind: CellKindId; words: string }[]
}

/** Judges a guess: right when every kind that is there was named, and no other. */
export function judge({ kinds }: Round, guess: readonly CellKindId[]): Judged {
  const wrong = guess.filter((kind) => !kinds.includes(kind))
  return {
    isRight: wrong.length === 0 && kinds.every((kind) => guess.includes(kind)),
    there: kinds.map((kind) => ({ kind, wasNamed: guess.includes(kind), words: cellKind(kind).givenAwayBy })),
    notThere: wrong.map((kind) => {
      const { looks, moves } = cellKind(kind)
      return { kind, words: `would be ${looks}; ${moves}` }
    }),
  }
}

/** The score after a guess. */
export function scored(score: Score, round: Round, guess: readonly CellKindId[]): Score {
  const { isRight } = judge(round, guess)
  const kinds = { ...score.kinds }
  for (const kind of round.kinds) {
    const { seen, right } = kinds[kind] ?? { seen: 0, right: 0 }
    kinds[kind] = { seen: seen + 1, right: right + (guess.includes(kind) ? 1 : 0) }
  }
  return {
    rounds: score.rounds + 1,
    right: score.right + (isRight ? 1 : 0),
    inARow: isRight ? score.inARow + 1 : 0,
    kinds,
  }
}

/** Whether what was stored is a score: another version may have written it. */
export function isScore(value: unknown): value is Score {
  const one = value as Partial<Score> | null
  return (
    typeof one === 'object' &&
    one !== null &&
    [one.rounds, one.right, one.inARow].every((count) => Number.isInteger(count) && count! >= 0) &&
    typeof one.kinds === 'object' &&
    one.kinds !== null &&
    Object.values(one.kinds).every((kind) => Number.isInteger(kind?.seen) && Number.isInteger(kind?.right))
  )
}
