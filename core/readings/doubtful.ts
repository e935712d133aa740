import { parameterById, typicalUncertainty, type Parameter } from '../catalogue/parameter.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { readingsOf, type ReadingLine } from './latest.ts'

/** Three equal values of a probe over three hours mean that it stopped (EA): the last figure of a live probe flickers. */
const STUCK_HOURS = 3
const STUCK_VALUES = 3
/** A hand test is held against a probe's value within two hours of the test (EA). */
const BESIDE_HOURS = 2

const valueOf = ({ content: { result } }: ReadingLine): number | null => (result.kind === 'value' ? result.value : null)
const isOfProbe = ({ content }: ReadingLine) => content.origin === 'probe'
const isByHand = ({ content }: ReadingLine) => content.origin === undefined || content.origin === 'photometer'

/** Entries of a probe in a run of exactly equal values, the first left out: it may have been true. */
function stuckIds(lines: readonly ReadingLine[]): string[] {
  const ids: string[] = []
  let from = 0
  for (let i = 1; i <= lines.length; i++) {
    if (i < lines.length && valueOf(lines[i]!) === valueOf(lines[from]!)) continue
    const run = lines.slice(from, i)
    if (run.length >= STUCK_VALUES && run.at(-1)!.at - run[0]!.at >= STUCK_HOURS * MS_PER_HOUR)
      ids.push(...run.slice(1).map(({ id }) => id))
    from = i
  }
  return ids
}

/** How far a probe was off a hand test, where both are of the same hours. */
export interface ProbeCheck {
  at: number
  hand: number
  probe: number
  /** More than both may be off together. */
  differs: boolean
}

/**
 * A probe's values held against each hand test beside them, in time order.
 * @param deviceId of the probe
 * @example
 * probeChecks(journal, 'hall', ph, 'probe-1').at(-1)?.differs // calibrate
 */
export function probeChecks(journal: Journal, tankId: string, parameter: Parameter, deviceId: string): ProbeCheck[] {
  const lines = readingsOf(journal, tankId, parameter.id)
  const probes = lines.filter((line) => isOfProbe(line) && line.content.deviceId === deviceId)
  return lines.filter(isByHand).flatMap((line): ProbeCheck[] => {
    const hand = valueOf(line)
    const near = probes
      .filter(({ at }) => Math.abs(at - line.at) <= BESIDE_HOURS * MS_PER_HOUR)
      .sort((a, b) => Math.abs(a.at - line.at) - Math.abs(b.at - line.at))[0]
    const probe = near ? valueOf(near) : null
    if (hand === null || probe === null) return []
    const off = Math.hypot(
      line.content.uncertainty ?? typicalUncertainty(parameter, hand),
      near!.content.uncertainty ?? 0,
    )
    return [{ at: line.at, hand, probe, differs: Math.abs(hand - probe) > off }]
  })
}

/**
 * Readings of probes in a tank that nothing should rest on: of a probe that stood still, and of one that a hand test has found to be off, back to the
 * last hand test that agreed and on to the next one that does.
 * @returns ids of entries
 */
export function doubtfulReadings(journal: Journal, tankId: string, parameterId: string): ReadonlySet<string> {
  const subject = `readings:${tankId}:${parameterId}` as const
  return journal.derive(`doubtful:${tankId}:${parameterId}`, [subject], () => {
    const parameter = parameterById(parameterId)
    const probes = readingsOf(journal, tankId, parameterId).filter(isOfProbe)
    if (!parameter || probes.length === 0) return new Set<string>()
    const doubtful = new Set<string>()
    for (const deviceId of new Set(probes.map(({ content }) => content.deviceId))) {
      const own = probes.filter(({ content }) => content.deviceId === deviceId)
      for (const id of stuckIds(own)) doubtful.add(id)
      if (deviceId === undefined) continue
      const checks = probeChecks(journal, tankId, parameter, deviceId)
      checks.forEach(({ differs }, i) => {
        if (!differs) return
        const [from, until] = [checks[i - 1]?.at ?? -Infinity, checks[i + 1]?.at ?? Infinity]
        for (const { at, id } of own) if (at > from && at < until) doubtful.add(id)
      })
    }
    return doubtful
  })
}

/**
 * The readings of a parameter in a tank that a course may count by: all but the doubtful ones of a probe.
 * @example
 * trustedReadingsOf(journal, 'quar', 'salinity')
 */
export function trustedReadingsOf(journal: Journal, tankId: string, parameterId: string): readonly ReadingLine[] {
  const lines = readingsOf(journal, tankId, parameterId)
  const doubtful = doubtfulReadings(journal, tankId, parameterId)
  return doubtful.size === 0 ? lines : lines.filter(({ id }) => !doubtful.has(id))
}
