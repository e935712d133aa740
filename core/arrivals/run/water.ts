import { tanAsN } from '../../ammonia/basis.ts'
import { ASSUMED_TANK } from '../../acclimation/assumed.ts'
import type { Setting } from '../../acclimation/simulate.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { MS_PER_DAY } from '../../time/zone.ts'

/** A figure of a tank's water and where it comes from. */
export interface Figure {
  value: number
  /** When it was read; null where it is assumed. */
  readAt: number | null
}

export type WaterFigure = 'temperatureC' | 'salinityPsu' | 'pH' | 'alkalinityDkh' | 'tanMgPerL'
export type TankWater = Record<WaterFigure, Figure>

/** The parameter of the catalogue that each figure of a water is read as. */
export const PARAMETER_OF: Record<WaterFigure, string> = {
  temperatureC: 'temp',
  salinityPsu: 'salinity',
  pH: 'ph',
  alkalinityDkh: 'alk-kh',
  tanMgPerL: 'tan',
}
/** A reading older than this says little of the water now. */
export const STALE_DAYS = 14

/** A tank's water by its latest readings; what was not read lately is assumed, and says so. */
export function waterOfTank(journal: Journal, tank: Tank, now: number): TankWater {
  const figure = (of: WaterFigure): Figure => {
    const last = lastValue(journal, tank.id, PARAMETER_OF[of], now + 1)
    if (last && now - last.at <= STALE_DAYS * MS_PER_DAY)
      return { value: of === 'tanMgPerL' ? tanAsN(last.line.content, last.value) : last.value, readAt: last.at }
    return { value: of === 'tanMgPerL' ? 0 : ASSUMED_TANK[tank.water][of], readAt: null }
  }
  return {
    temperatureC: figure('temperatureC'),
    salinityPsu: figure('salinityPsu'),
    pH: figure('pH'),
    alkalinityDkh: figure('alkalinityDkh'),
    tanMgPerL: figure('tanMgPerL'),
  }
}

/** The figures alone, as a simulation takes them. */
export const plainWater = (water: TankWater): Required<Setting['tank']> => ({
  temperatureC: water.temperatureC.value,
  salinityPsu: water.salinityPsu.value,
  pH: water.pH.value,
  // A simulation needs some alkalinity; a kit may read none.
  alkalinityDkh: Math.max(0.1, water.alkalinityDkh.value),
  tanMgPerL: water.tanMgPerL.value,
})
