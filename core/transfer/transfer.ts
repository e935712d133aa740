import { MAX_POINTS } from '../numbers/limits.ts'
import { ceilQuotient } from '../numbers/rounding.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import { isInstantMs, iso, MS_PER_HOUR } from '../time/zone.ts'
import type { TransferCheck, TransferCheckInput, TransferViolation } from './transfer.schema.ts'

/** A bath is followed by its move within so long (design contract). */
const BATH_TO_MOVE_MS = 2 * MS_PER_HOUR

const sorted = (instants: readonly string[]) => instants.map((at) => Date.parse(at)).sort((a, b) => a - b)

/** The instant at which a course of moves, and baths where it has them, was done; null while it is not. */
function doneAt(
  moves: readonly number[],
  baths: readonly number[],
  needed: number,
  earliest: number,
  bathCount: number,
  arrival: number,
): number | null {
  if (baths.length < bathCount) return null
  const lastBath = bathCount > 0 ? baths[bathCount - 1]! : -Infinity
  // Nothing to move and no time to wait: done on arrival.
  const last = needed === 0 && earliest <= arrival ? arrival : moves.find((at, i) => i + 1 >= needed && at >= earliest)
  return last === undefined ? null : Math.max(last, lastBath)
}

function lateMoves(
  moves: readonly number[],
  arrival: number,
  now: number,
  maxInterval: number,
  done: number | null,
): TransferViolation[] {
  const violations: TransferViolation[] = []
  const judge = (at: number, before: number, index: number) => {
    if (at > before + maxInterval)
      violations.push({ kind: 'late', index, hoursLate: (at - before - maxInterval) / MS_PER_HOUR })
  }
  moves.forEach((at, i) => {
    if (done === null || at <= done) judge(at, moves[i - 1] ?? arrival, i)
  })
  // A due move that was not made by now counts already.
  if (done === null) judge(now, moves.at(-1) ?? arrival, moves.length)
  return violations
}

function bathFaults(
  baths: readonly number[],
  moves: readonly number[],
  now: number,
  { apartHours, toleranceHours }: { apartHours: number; toleranceHours: number },
): TransferViolation[] {
  const spacing = baths.slice(1).flatMap((at, i): TransferViolation[] => {
    const hoursOff = (at - baths[i]!) / MS_PER_HOUR - apartHours
    return Math.abs(hoursOff) > toleranceHours + 1e-9 ? [{ kind: 'bath-spacing', index: i + 1, hoursOff }] : []
  })
  const alone = baths.flatMap((at, index): TransferViolation[] => {
    const moved = moves.some((move) => move >= at && move <= at + BATH_TO_MOVE_MS)
    return !moved && now > at + BATH_TO_MOVE_MS ? [{ kind: 'bath-without-move', index }] : []
  })
  return [...spacing, ...alone]
}

/** Whether moves from tank to tank, and baths between them, kept a transfer protocol's rule; and when the next is due. */
export function checkTransfers(input: TransferCheckInput): Result<TransferCheck> {
  const { rule } = input
  const [arrival, now] = [Date.parse(input.arrivalAt), Date.parse(input.now)]
  if (now < arrival) return invalid('/now', `expected at or after the arrival, ${input.arrivalAt}; came ${input.now}`)
  for (const [path, list] of [
    ['/transfers', input.transfers],
    ['/baths', input.baths ?? []],
  ] as const) {
    const outside = list.findIndex((at) => Date.parse(at) < arrival || Date.parse(at) > now)
    if (outside >= 0)
      return invalid(`${path}/${outside}`, `expected between the arrival and now; came ${list[outside]}`)
  }
  const moves = sorted(input.transfers)
  const baths = rule.baths ? sorted(input.baths ?? []) : []
  const maxInterval = rule.maxIntervalHours * MS_PER_HOUR
  const transfersNeeded = Math.max(rule.minTransfers, ceilQuotient(rule.minTotalHours / rule.maxIntervalHours))
  if (!(transfersNeeded <= MAX_POINTS))
    return invalid('/rule/maxIntervalHours', `asks for over ${MAX_POINTS} moves; expected a longer interval`)
  const earliest = arrival + rule.minTotalHours * MS_PER_HOUR
  const bathCount = rule.baths?.count ?? 0
  const done = doneAt(moves, baths, transfersNeeded, earliest, bathCount, arrival)
  const missing = bathCount - baths.length
  const bathsEnd =
    !rule.baths || missing <= 0
      ? -Infinity
      : baths.length > 0
        ? baths.at(-1)! + missing * rule.baths.apartHours * MS_PER_HOUR
        : now + (missing - 1) * rule.baths.apartHours * MS_PER_HOUR
  const finish = done ?? Math.max(earliest, now, bathsEnd)
  const nextDue = (moves.at(-1) ?? arrival) + maxInterval
  if (!isInstantMs(finish) || !isInstantMs(nextDue))
    return invalid('/rule', 'these hours lead past every calendar; expected hours of a course')
  const violations = [
    ...lateMoves(moves, arrival, now, maxInterval, done),
    ...(rule.baths ? bathFaults(baths, moves, now, rule.baths) : []),
  ]
  return ok({
    transfersNeeded,
    nextDueAt: done === null ? iso(nextDue) : null,
    earliestFinishAt: iso(finish),
    done: done !== null,
    ok: violations.length === 0,
    violations,
  })
}
