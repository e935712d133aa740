import type { AcclimationMethod, WayKind } from './acclimation.schema.ts'
import { carbonateConstants, dicFromPh } from './carbonate.ts'
import { mixed, type MixedWater, type Surroundings } from './mixing.ts'
import { mindsSalinity } from './limits.ts'
import { pointOf, sealedAfloat, surroundingsOf, type Point, type Setting } from './simulate.ts'
import { offBy, WINDOW_MINUTES, type Limits, type Off } from './trials.ts'
import { carry, flowOf, HAIR, type Running, type Vessel } from './vessel.ts'

/** What was done or measured on the way; minutes since the float began. */
export type Happening = { minute: number } & (
  | { kind: 'opened' }
  | { kind: 'scoop'; litres: number }
  | { kind: 'pour-off'; toL: number }
  | { kind: 'drip'; mlPerMinute: number }
  | { kind: 'measured'; temperatureC?: number; salinityPsu?: number; pH?: number; tanMgPerL?: number }
)

/** A run as it was begun. */
export interface RunSetup {
  setting: Setting
  limits: Limits
  way: WayKind
  method: AcclimationMethod | null
  /** Figures of the bag that were guessed, and decide: on a way without mixing they are measured first. */
  guessed?: readonly ('salinityPsu' | 'temperatureC')[]
  /** Whether the tank's salinity in `setting` was read since the run began: a matched tank then stands where it was read. */
  isTankRead?: boolean
  /** Whether the way was chosen knowing that it does not come near enough. */
  isKnowing?: boolean
}

/** What to do next, and at which minute. */
export interface NextStep {
  /** `choose` another way: nothing is mixed on this one, and it is not near enough. */
  kind: 'open' | 'scoop' | 'pour-off' | 'start-drip' | 'measure' | 'choose' | 'move'
  minute: number
  /** L a scoop brings in. */
  litres?: number
  /** L left after a pour-off. */
  toL?: number
}

/** A run as it stands. */
export interface Followed {
  openedAt: number | null
  /** What was reckoned and measured up to now. */
  past: Point[]
  now: Point
  /** What is to be expected by the way chosen, from now on. */
  ahead: Point[]
  /** The minute at which the animal may go across, by what is known now; null when it would not within some hours. */
  readyAt: number | null
  /** What is still off now; empty when it is true. */
  off: Off[]
  /** Whether that rests on a measurement and not on reckoning alone. */
  isMeasured: boolean
  measured: Extract<Happening, { kind: 'measured' }>[]
  next: NextStep
  /** psu an hour over the last window. */
  psuPerHour: number
  scoops: number
  mlPerMinute: number
}

/** How far ahead a run is looked at. */
const AHEAD_MINUTES = 300
/** Differences in salinity under this are within what two readings of one instrument may differ by, psu. */
const TELLING_PSU = 2
/** With less than this of the bag's water left, what is measured says nothing of what the bag had (EA). */
const LEAST_TELLING_SHARE = 0.2

/**
 * The water as measured: figures that were read take the place of reckoned ones.
 * @param bagPsu what the bag's water had before anything was mixed; null where the measurement itself says that
 */
function asMeasured(
  water: MixedWater,
  { temperatureC, salinityPsu, pH, tanMgPerL }: Extract<Happening, { kind: 'measured' }>,
  { tank }: Surroundings,
  bagPsu: number | null,
): MixedWater {
  let next = { ...water, ...(temperatureC !== undefined && { temperatureC }) }
  if (salinityPsu !== undefined) {
    const apart = bagPsu === null ? 0 : bagPsu - tank.salinityPsu
    // Where bag and tank lie far enough apart, salinity tells how much of the bag's water really is left.
    if (Math.abs(apart) >= TELLING_PSU) {
      const share = Math.min(1, Math.max(0, (salinityPsu - tank.salinityPsu) / apart))
      const ratio = water.bag > HAIR ? share / water.bag : 1
      const scaled = (value: number, of: number) => of + (value - of) * ratio
      next = {
        ...next,
        bag: share,
        alkalinity: scaled(water.alkalinity, tank.alkalinity),
        dic: scaled(water.dic, tank.dic),
        tanMgPerL: Math.max(0, scaled(water.tanMgPerL, tank.tanMgPerL)),
      }
    }
    next = { ...next, salinityPsu }
  }
  if (tanMgPerL !== undefined) next = { ...next, tanMgPerL }
  if (pH !== undefined)
    next = {
      ...next,
      dic: dicFromPh(pH, next.alkalinity, carbonateConstants(next.temperatureC, next.salinityPsu)),
    }
  return next
}

/** An open container under a drip that nobody pours off: what runs in runs over. */
function runningOver(
  start: Vessel,
  mlPerMinute: number,
  until: number,
  setting: Setting,
  around: Surroundings,
): Vessel {
  const { capacityL } = setting.container
  const method = { kind: 'drip' as const, mlPerMinute }
  const full = start.minute + Math.max(0, capacityL - start.volumeL) / flowOf(method)
  const endless = { capacityL: Infinity, leaveL: 0 }
  const filling = { method, from: start.minute, scoops: 0 }
  let { vessel } = carry(start, filling, Math.min(until, full), endless, around)
  while (vessel.minute < until - HAIR) {
    const to = Math.min(until, vessel.minute + 1)
    const stood = carry(vessel, null, to, endless, around).vessel
    const added = flowOf(method) * (to - vessel.minute)
    vessel = { minute: to, volumeL: capacityL, water: mixed(stood.water, capacityL, around.tank, added) }
  }
  return vessel
}

/** Follows a run by what was done and measured, up to a minute, and on from there by the way chosen. */
export function follow(setup: RunSetup, happenings: readonly Happening[], now: number): Followed {
  const { setting, limits, method } = setup
  const around = surroundingsOf(setting)
  const sealed = sealedAfloat(setting, around)
  const done = [...happenings].filter(({ minute }) => minute <= now + HAIR).sort((a, b) => a.minute - b.minute)
  const past: Point[] = []
  let vessel: Vessel = sealed(0)
  let openedAt: number | null = null
  let mlPerMinute = 0
  let scoops = 0
  let lastAct = 0
  let fullSince: number | null = null
  const measured: Extract<Happening, { kind: 'measured' }>[] = []
  let bagPsu = setting.bag.salinityPsu
  /** Salinity put right, rather than changed, and how many points of the past were before that. */
  const put: { at: number; psu: number }[] = []
  const to = (minute: number) => {
    if (openedAt === null) vessel = measured.length > 0 ? { ...vessel, minute } : sealed(minute)
    else if (mlPerMinute > 0) vessel = runningOver(vessel, mlPerMinute, minute, setting, around)
    else vessel = carry(vessel, null, minute, setting.container, around).vessel
    vessel = { ...vessel, minute }
    const isFull = openedAt !== null && mlPerMinute > 0 && vessel.volumeL >= setting.container.capacityL - HAIR
    fullSince = isFull ? (fullSince ?? minute) : null
  }
  const keep = () => past.push(pointOf(vessel))
  const throughTo = (minute: number) => {
    const from = vessel.minute
    if (past.length === 0) keep()
    for (let whole = Math.floor(from) + 1; whole < minute - HAIR; whole++) {
      to(whole)
      keep()
    }
    if (minute > from + HAIR) {
      to(minute)
      keep()
    }
  }
  for (const happening of done) {
    throughTo(happening.minute)
    switch (happening.kind) {
      case 'opened':
        openedAt ??= happening.minute
        lastAct = happening.minute
        break
      case 'scoop':
        vessel = {
          ...vessel,
          water: mixed(vessel.water, vessel.volumeL, around.tank, happening.litres),
          volumeL: vessel.volumeL + happening.litres,
        }
        scoops++
        lastAct = happening.minute
        break
      case 'pour-off':
        vessel = { ...vessel, volumeL: Math.min(vessel.volumeL, happening.toL) }
        fullSince = null
        break
      case 'drip':
        mlPerMinute = happening.mlPerMinute
        lastAct = happening.minute
        break
      case 'measured': {
        const was = vessel.water
        // Where no tank water is in yet, or the bag was a guess till now, the water did not move and none of the bag's is gone:
        // the bag was thought to be other, and is put right.
        const isFirst = measured.every(({ salinityPsu }) => salinityPsu === undefined)
        const isOfBag = was.bag >= 1 - HAIR || (isFirst && setup.guessed?.includes('salinityPsu') === true)
        vessel = { ...vessel, water: asMeasured(was, happening, around, isOfBag ? null : bagPsu) }
        if (isOfBag && happening.salinityPsu !== undefined) {
          put.push({ at: past.length, psu: happening.salinityPsu - was.salinityPsu })
          if (was.bag > LEAST_TELLING_SHARE)
            bagPsu = around.tank.salinityPsu + (happening.salinityPsu - around.tank.salinityPsu) / was.bag
        }
        measured.push(happening)
        break
      }
    }
    keep()
  }
  throughTo(now)
  const point = pointOf(vessel)
  const target = targetOf(setup)
  const isReady = (one: Point) => offBy(one, target, limits).length === 0
  const running = runningFrom({ openedAt, lastAct, mlPerMinute, method, now, floatMinutes: setting.float.minutes })
  const mixes = method !== null
  const isOpen = openedAt !== null
  // Before the bag is opened what is to come begins with the rest of the float.
  const opensAt = isOpen ? now : Math.max(now, setting.float.minutes)
  const ahead: Point[] = [point]
  let at = isOpen ? vessel : sealed(opensAt)
  let going: Running | null = running
  if (!isOpen) for (let m = Math.floor(now) + 1; m <= opensAt; m++) ahead.push(pointOf(sealed(m)))
  let readyAt: number | null = null
  if (isOpen && isReady(point)) readyAt = now
  for (let m = Math.floor(opensAt) + 1; m <= opensAt + AHEAD_MINUTES && readyAt === null && mixes; m++) {
    ;({ vessel: at, running: going } = carry(at, going, m, setting.container, around))
    const one = pointOf({ ...at, minute: m })
    ahead.push(one)
    if (isReady(one)) readyAt = m
  }
  if (!mixes) {
    readyAt = !isOpen ? opensAt : isReady(point) ? now : null
    for (let m = 1; m <= WINDOW_MINUTES * 2; m++)
      ahead.push(pointOf(carry(at, null, opensAt + m, setting.container, around).vessel))
  }
  const off = offBy(point, target, limits)
  const readySince = isOpen && off.length === 0 ? sinceWhen(past, isReady) : null
  const lastMeasured = measured.findLast(
    ({ temperatureC, salinityPsu }) =>
      temperatureC !== undefined && (salinityPsu !== undefined || !mindsSalinity(limits)),
  )
  // What was measured before the water came within reach says nothing of it now.
  const isMeasured = readySince !== null && lastMeasured !== undefined && lastMeasured.minute >= readySince - HAIR
  const isKnown = (setup.guessed ?? []).every((figure) =>
    measured.some((one) => one[figure] !== undefined && openedAt !== null && one.minute >= openedAt - HAIR),
  )
  const beforeAt = Math.max(
    0,
    past.findLastIndex(({ minute }) => minute <= now - WINDOW_MINUTES),
  )
  const before = past[beforeAt]!
  const putRight = put.reduce((sum, { at, psu }) => (at > beforeAt ? sum + psu : sum), 0)
  return {
    openedAt,
    past,
    now: point,
    ahead,
    readyAt,
    off,
    isMeasured,
    measured,
    next: nextStep(setup, {
      openedAt,
      lastAct,
      mlPerMinute,
      vessel,
      fullSince,
      readySince,
      isMeasured,
      isKnown,
      off,
      readyAt,
    }),
    psuPerHour: (Math.abs(point.salinityPsu - before.salinityPsu - putRight) * 60) / WINDOW_MINUTES,
    scoops,
    mlPerMinute,
  }
}

/**
 * What the animal goes to: a tank that was matched has the salinity it was set to, where that was read, else that of the bag it
 * was to be set to.
 */
export const targetOf = ({
  setting,
  way,
  isTankRead = false,
}: Pick<RunSetup, 'setting' | 'way' | 'isTankRead'>): Pick<Setting, 'tank' | 'bag'> =>
  way === 'match-and-release' && !isTankRead
    ? { bag: setting.bag, tank: { ...setting.tank, salinityPsu: setting.bag.salinityPsu } }
    : setting

/** Since when the water has been within reach without a break. */
function sinceWhen(past: readonly Point[], isReady: (point: Point) => boolean): number {
  let since = past.at(-1)!.minute
  for (let i = past.length - 1; i >= 0 && isReady(past[i]!); i--) since = past[i]!.minute
  return since
}

interface Going {
  openedAt: number | null
  lastAct: number
  mlPerMinute: number
}

/** The way of mixing from now on: the drip as it runs, the next scoop when it is due or at once when that is past. */
function runningFrom({
  openedAt,
  lastAct,
  mlPerMinute,
  method,
  now,
  floatMinutes,
}: Going & { method: AcclimationMethod | null; now: number; floatMinutes: number }): Running | null {
  if (!method) return null
  if (openedAt === null) return { method, from: Math.max(now, floatMinutes), scoops: 0 }
  if (method.kind === 'drip')
    return { method: mlPerMinute > 0 ? { kind: 'drip', mlPerMinute } : method, from: now, scoops: 0 }
  return { method, from: Math.max(now, lastAct + method.everyMinutes) - method.everyMinutes, scoops: 0 }
}

interface Standing extends Going {
  vessel: Vessel
  fullSince: number | null
  readySince: number | null
  isMeasured: boolean
  isKnown: boolean
  readyAt: number | null
  off: readonly Off[]
}

function nextStep({ setting, method, isKnowing }: RunSetup, standing: Standing): NextStep {
  const { openedAt, lastAct, mlPerMinute, vessel, fullSince, readySince, isMeasured, isKnown, readyAt, off } = standing
  if (openedAt === null) return { kind: 'open', minute: setting.float.minutes }
  if (!method) {
    // Warmth can be had from outside; what is dissolved changes by mixing alone.
    const isApart = off.some(({ what }) => what !== 'temperature')
    return { kind: !isKnown ? 'measure' : isApart && !isKnowing ? 'choose' : 'move', minute: openedAt }
  }
  if (readySince !== null) return { kind: isMeasured ? 'move' : 'measure', minute: readySince }
  const { capacityL, leaveL } = setting.container
  if (method.kind === 'drip') {
    if (mlPerMinute <= 0) return { kind: 'start-drip', minute: openedAt }
    const full = fullSince ?? vessel.minute + (capacityL - vessel.volumeL) / flowOf({ kind: 'drip', mlPerMinute })
    return readyAt === null || full <= readyAt
      ? { kind: 'pour-off', minute: full, toL: leaveL }
      : { kind: 'measure', minute: readyAt }
  }
  const due = lastAct + method.everyMinutes
  return vessel.volumeL + method.scoopL > capacityL + HAIR
    ? { kind: 'pour-off', minute: due, toL: leaveL }
    : { kind: 'scoop', minute: due, litres: method.scoopL }
}
