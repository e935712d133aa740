import { logNormalCdf, logNormalTail } from '../numbers/normal.ts'
import { integrate } from '../numbers/quadrature.ts'
import { invalid, ok, type Result } from '../result/result.ts'
import type { CourseRisk, CourseRiskInput } from './risk.schema.ts'

interface Window {
  from: number
  to: number
}

/** Windows joined where they touch or overlap, in time order. */
function joined(windows: CourseRiskInput['protectedWindows']): Window[] {
  const ordered = windows.map(({ fromHours: from, toHours: to }) => ({ from, to })).sort((a, b) => a.from - b.from)
  const result: Window[] = []
  for (const window of ordered) {
    const last = result.at(-1)
    if (last && window.from <= last.to) last.to = Math.max(last.to, window.to)
    else result.push(window)
  }
  return result
}

/** Steps of the log-normals' own scale at which the integral is cut, so that each piece is smooth. */
const SCALE = [-6, -4.5, -3, -2, -1.2, -0.6, 0, 0.6, 1.2, 2, 3, 4.5, 6]
/** Beyond so many log-sds of the residual life nothing is left (the residual life of a log-normal is shifted by its log-sd). */
const REACH = 9

/**
 * Probability that a parasite on the host at the course's start comes back to it, and that any of them does.
 * A parasite leaves after its residual life ℓ, of density (1 − F(ℓ))/mean; its cyst hatches c later in the water it fell
 * into; it reinfects, with probability `infection`, a fish that has not moved in (ℓ, ℓ + c] and is not protected at ℓ + c.
 * Given ℓ, the chance over c is a difference of the cyst's distribution; the integral over ℓ is done numerically.
 */
export function courseRisk(input: CourseRiskInput): Result<CourseRisk> {
  const { parasitesOnHost, onHost, cyst, infection } = input
  const reversed = input.protectedWindows.findIndex(({ fromHours, toHours }) => fromHours > toHours)
  if (reversed >= 0) return invalid(`/protectedWindows/${reversed}/fromHours`, 'expected at most the window’s end')
  const windows = joined(input.protectedWindows)
  const moves = [...input.movesHours].sort((a, b) => a - b)
  const hatchedBy = (hours: number) => logNormalCdf(hours - cyst.minHours, cyst.medianHours, cyst.logSd)
  const comesBack = (leaves: number): number => {
    const moved = moves.find((move) => move > leaves) ?? Infinity
    const untilMoved = moved === Infinity ? 1 : hatchedBy(moved - leaves)
    let shielded = 0
    for (const { from, to } of windows) {
      if (to <= leaves) continue
      if (from >= moved) break
      shielded += (to >= moved ? untilMoved : hatchedBy(to - leaves)) - hatchedBy(Math.max(0, from - leaves))
    }
    return Math.max(0, untilMoved - shielded)
  }
  const { medianHours, logSd } = onHost
  const mean = medianHours * Math.exp((logSd * logSd) / 2)
  const longest = medianHours * Math.exp(REACH * logSd + logSd * logSd)
  const edges = [...moves, ...windows.flatMap(({ from, to }) => [from, to])]
  const cuts = new Set([0, longest])
  const cut = (at: number) => at > 0 && at < longest && cuts.add(at)
  for (const step of SCALE) cut(medianHours * Math.exp(step * logSd))
  for (const edge of edges) {
    cut(edge)
    cut(edge - cyst.minHours)
    for (const step of SCALE) cut(edge - cyst.minHours - cyst.medianHours * Math.exp(step * cyst.logSd))
  }
  const integral = integrate(
    (leaves) => (logNormalTail(leaves, medianHours, logSd) / mean) * comesBack(leaves),
    [...cuts].sort((a, b) => a - b),
  )
  const perParasite = Math.min(1, infection * integral)
  return ok({ perParasite, risk: -Math.expm1(parasitesOnHost * Math.log1p(-perParasite)) || 0 })
}
