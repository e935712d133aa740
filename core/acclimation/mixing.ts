import { alkalinityMol, carbonateConstants, co2From, dicFromPh } from './carbonate.ts'

/** A water as mixing knows it: everything that mixes by volume. */
export interface MixedWater {
  temperatureC: number
  salinityPsu: number
  /** mol/kg */
  alkalinity: number
  /** Dissolved inorganic carbon, mol/kg. */
  dic: number
  tanMgPerL: number
  /** Share of it that came with the bag. */
  bag: number
}

/** A water by its measured figures. */
export function waterOf(
  measured: { temperatureC: number; salinityPsu: number; pH: number; alkalinityDkh: number; tanMgPerL?: number },
  bag: number,
): MixedWater {
  const { temperatureC, salinityPsu } = measured
  const alkalinity = alkalinityMol(measured.alkalinityDkh)
  return {
    temperatureC,
    salinityPsu,
    alkalinity,
    dic: dicFromPh(measured.pH, alkalinity, carbonateConstants(temperatureC, salinityPsu)),
    tanMgPerL: measured.tanMgPerL ?? 0,
    bag,
  }
}

/** Some of one water poured into another, mixed by volume. */
export function mixed(into: MixedWater, volumeL: number, from: MixedWater, addedL: number): MixedWater {
  const share = addedL / (volumeL + addedL)
  const of = (a: number, b: number) => a + (b - a) * share
  return {
    temperatureC: of(into.temperatureC, from.temperatureC),
    salinityPsu: of(into.salinityPsu, from.salinityPsu),
    alkalinity: of(into.alkalinity, from.alkalinity),
    dic: of(into.dic, from.dic),
    tanMgPerL: of(into.tanMgPerL, from.tanMgPerL),
    bag: of(into.bag, from.bag),
  }
}

/** What acts on the open container all the time. */
export interface Surroundings {
  tank: MixedWater
  roomC: number
  roomTauMinutes: number
  /** Per minute. */
  gasExchange: number
  /** Atmospheres. */
  airCo2: number
  excretionMgPerMinute: number
}

/** Longest step of the integration, minutes; where something is quicker, so many steps fall within its time. */
const LONGEST_STEP = 1
const STEPS_A_TIME = 3
const MOST_STEPS_A_MINUTE = 64

/**
 * The open container after some minutes of dripping (or of none): salts, ammonia and the bag's share exactly, temperature and
 * carbon by Runge–Kutta steps. Carbon dioxide relaxes to its equilibrium with the air: d DIC/dt = −k(CO2* − K0·pCO2).
 * What is integrated is the volume times the difference from the tank: dilution alone does not change it, however fast.
 */
export function openFor(
  start: MixedWater,
  volumeL: number,
  flowLPerMinute: number,
  minutes: number,
  { tank, roomC, roomTauMinutes, gasExchange, airCo2, excretionMgPerMinute }: Surroundings,
): MixedWater {
  if (minutes <= 0) return start
  const volumeAt = (t: number) => volumeL + flowLPerMinute * t
  const conserved = (from: number, to: number, t: number) => to + ((from - to) * volumeL) / volumeAt(t)
  const steps = Math.max(
    1,
    Math.ceil(minutes / LONGEST_STEP),
    Math.ceil(minutes * Math.min(MOST_STEPS_A_MINUTE, (1 / roomTauMinutes + gasExchange) * STEPS_A_TIME)),
  )
  const h = minutes / steps
  let warmth = volumeL * (start.temperatureC - tank.temperatureC)
  let carbon = volumeL * (start.dic - tank.dic)
  const roomOver = roomC - tank.temperatureC
  const warming = (volume: number, now: number) => (volume * roomOver - now) / roomTauMinutes
  const outgassing = (t: number, volume: number, now: number, warm: number) => {
    const constants = carbonateConstants(
      tank.temperatureC + warm / volume,
      conserved(start.salinityPsu, tank.salinityPsu, t),
    )
    const dic = tank.dic + now / volume
    const excess = co2From(dic, conserved(start.alkalinity, tank.alkalinity, t), constants) - constants.k0 * airCo2
    return -gasExchange * volume * excess
  }
  for (let i = 0; i < steps; i++) {
    const t = i * h
    const [v1, v2, v4] = [volumeAt(t), volumeAt(t + h / 2), volumeAt(t + h)]
    const w1 = warming(v1, warmth)
    const w2 = warming(v2, warmth + (h / 2) * w1)
    const w3 = warming(v2, warmth + (h / 2) * w2)
    const w4 = warming(v4, warmth + h * w3)
    if (gasExchange > 0) {
      const c1 = outgassing(t, v1, carbon, warmth)
      const c2 = outgassing(t + h / 2, v2, carbon + (h / 2) * c1, warmth + (h / 2) * w1)
      const c3 = outgassing(t + h / 2, v2, carbon + (h / 2) * c2, warmth + (h / 2) * w2)
      const c4 = outgassing(t + h, v4, carbon + h * c3, warmth + h * w3)
      carbon += (h / 6) * (c1 + 2 * c2 + 2 * c3 + c4)
    }
    warmth += (h / 6) * (w1 + 2 * w2 + 2 * w3 + w4)
  }
  const volume = volumeAt(minutes)
  return {
    temperatureC: tank.temperatureC + warmth / volume,
    salinityPsu: conserved(start.salinityPsu, tank.salinityPsu, minutes),
    alkalinity: conserved(start.alkalinity, tank.alkalinity, minutes),
    dic: tank.dic + carbon / volume,
    tanMgPerL: conserved(start.tanMgPerL, tank.tanMgPerL, minutes) + (excretionMgPerMinute * minutes) / volume,
    bag: conserved(start.bag, tank.bag, minutes),
  }
}
