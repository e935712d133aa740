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
const MOST_STEPS = 2_000

/**
 * The open container after some minutes of dripping (or of none): salts, ammonia and the bag's share exactly, temperature and
 * carbon by Runge–Kutta steps. Carbon dioxide relaxes to its equilibrium with the air: d DIC/dt = −k(CO2* − K0·pCO2).
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
  const leftAt = (t: number) => volumeL / volumeAt(t)
  const conserved = (from: number, to: number, t: number) => to + (from - to) * leftAt(t)
  const alkalinityAt = (t: number) => conserved(start.alkalinity, tank.alkalinity, t)
  const salinityAt = (t: number) => conserved(start.salinityPsu, tank.salinityPsu, t)
  const rate = flowLPerMinute / volumeL + 1 / roomTauMinutes + gasExchange
  const steps = Math.min(
    MOST_STEPS,
    Math.max(1, Math.ceil(minutes / LONGEST_STEP), Math.ceil(minutes * rate * STEPS_A_TIME)),
  )
  const h = minutes / steps
  let temperature = start.temperatureC
  let dic = start.dic
  const warming = (t: number, now: number) =>
    (flowLPerMinute / volumeAt(t)) * (tank.temperatureC - now) + (roomC - now) / roomTauMinutes
  const carbon = (t: number, now: number, temperatureC: number) => {
    const constants = carbonateConstants(temperatureC, salinityAt(t))
    const excess = co2From(now, alkalinityAt(t), constants) - constants.k0 * airCo2
    return (flowLPerMinute / volumeAt(t)) * (tank.dic - now) - gasExchange * excess
  }
  for (let i = 0; i < steps; i++) {
    const t = i * h
    const w1 = warming(t, temperature)
    const w2 = warming(t + h / 2, temperature + (h / 2) * w1)
    const w3 = warming(t + h / 2, temperature + (h / 2) * w2)
    const w4 = warming(t + h, temperature + h * w3)
    const d1 = carbon(t, dic, temperature)
    const d2 = carbon(t + h / 2, dic + (h / 2) * d1, temperature + (h / 2) * w1)
    const d3 = carbon(t + h / 2, dic + (h / 2) * d2, temperature + (h / 2) * w2)
    const d4 = carbon(t + h, dic + h * d3, temperature + h * w3)
    temperature += (h / 6) * (w1 + 2 * w2 + 2 * w3 + w4)
    dic += (h / 6) * (d1 + 2 * d2 + 2 * d3 + d4)
  }
  return {
    temperatureC: temperature,
    salinityPsu: salinityAt(minutes),
    alkalinity: alkalinityAt(minutes),
    dic,
    tanMgPerL:
      conserved(start.tanMgPerL, tank.tanMgPerL, minutes) + (excretionMgPerMinute * minutes) / volumeAt(minutes),
    bag: conserved(start.bag, tank.bag, minutes),
  }
}
