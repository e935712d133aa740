import { PARAMETERS } from '../../catalogue/parameter.ts'
import { netVolumeAt } from '../../household/tanks.ts'
import type { Content } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { raisedBy } from '../../readings/raises.ts'
import { MS_PER_DAY } from '../../time/zone.ts'

/** What a kept reef, or fresh water, tests at (the middle of the usual bands). */
const USUAL: Record<'marine' | 'freshwater', Readonly<Record<string, number>>> = {
  marine: {
    temp: 25,
    salinity: 35,
    ph: 8.2,
    'alk-kh': 8.5,
    ca: 425,
    mg: 1330,
    k: 395,
    no3: 6,
    po4: 0.06,
    tan: 0,
    nh3: 0,
    no2: 0,
    sio2: 0.1,
    copper: 0,
    oxygen: 7,
  },
  freshwater: {
    temp: 24,
    salinity: 0.2,
    ph: 7,
    'alk-kh': 5,
    no3: 12,
    po4: 0.5,
    tan: 0,
    nh3: 0,
    no2: 0,
    gh: 8,
    copper: 0,
    oxygen: 8,
  },
}

/** Waters that begin outside their band, by what the plan is to put right. */
export const FIRST_LEVELS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'nutrient-lower': { no3: 35, po4: 0.25 },
  'nutrient-raise': { no3: 0.5, po4: 0.01 },
  'fallow-45': { temp: 27.5 },
  'coral-45': { temp: 27.5 },
  'fallow-fw': { temp: 25.5 },
  'element-correct': { k: 350, ca: 380, mg: 1200, 'alk-kh': 6.8 },
}
/** What moves by itself in them. */
export const DRIFTS: Readonly<Record<string, Readonly<Record<string, { perDay: number; until: number }>>>> = {
  'nutrient-lower': { no3: { perDay: -1.5, until: 6 }, po4: { perDay: -0.01, until: 0.06 } },
}

/** Half-lives of what is used up by itself, days: silicate by diatoms. */
const HALF_LIFE_DAYS: Readonly<Record<string, number>> = { sio2: 1 }

/**
 * A small model of one tank's water: doses raise, changes dilute, silicate is taken up, water evaporates and leaves the rest behind. Nothing else
 * moves but what `driftPerDay` says. Levels are kept as they are at the full line.
 */
export class ModelWater {
  private readonly levels: Map<string, number>
  private at: number
  /** Litres that evaporate in a day, and those that are missing to the line now. */
  evaporatesPerDayL = 0
  missingL = 0

  constructor(
    private readonly journal: Journal,
    readonly tankId: string,
    private readonly water: 'marine' | 'freshwater',
    at: number,
    levels: Readonly<Record<string, number>> = {},
    private readonly driftPerDay: Readonly<Record<string, { perDay: number; until: number }>> = {},
  ) {
    this.at = at
    this.levels = new Map(Object.entries({ ...USUAL[water], ...levels }))
  }

  /** What a test shows at an instant, in the parameter's unit. */
  tested(parameter: string, at: number): number {
    this.passTo(at)
    const level = this.levels.get(parameter) ?? 0
    const netL = netVolumeAt(this.journal, this.tankId, at)
    return parameter === 'salinity' && netL !== null ? (level * netL) / (netL - this.missingL) : level
  }

  /** Lets an entry act on the water. */
  take(content: Content): void {
    if (!('tankId' in content) || content.tankId !== this.tankId) return
    const at = Date.parse(content.happened)
    this.passTo(at)
    const netL = netVolumeAt(this.journal, this.tankId, at)
    if (netL === null) return
    if (content.kind === 'dose' && content.massMg !== undefined) {
      const rise = content.massMg / netL
      for (const { id } of PARAMETERS) this.add(id, raisedBy(content.ingredient, id, rise))
    }
    if (content.kind === 'top-off') {
      const over = Math.max(0, content.litres - this.missingL)
      this.missingL = Math.max(0, this.missingL - content.litres)
      this.levels.set('salinity', ((this.levels.get('salinity') ?? 0) * netL) / (netL + over))
    }
    if (content.kind === 'water-change') {
      const share = Math.min(1, content.litres / netL)
      for (const [id, level] of this.levels) {
        const fresh =
          id === 'salinity'
            ? (content.replacement?.salinityPsu ?? level)
            : id === 'copper'
              ? (content.replacement?.copperMgPerL ?? 0)
              : (USUAL[this.water][id] ?? 0)
        // New water is matched, but for what was dosed or has gathered.
        if (id === 'copper' || id === 'salinity' || id === 'no3' || id === 'po4')
          this.levels.set(id, level + (fresh - level) * share)
      }
    }
  }

  private add(parameter: string, rise: number): void {
    if (rise !== 0) this.levels.set(parameter, (this.levels.get(parameter) ?? 0) + rise)
  }

  private passTo(at: number): void {
    const days = (at - this.at) / MS_PER_DAY
    if (days <= 0) return
    this.at = at
    this.missingL += this.evaporatesPerDayL * days
    for (const [id, half] of Object.entries(HALF_LIFE_DAYS))
      this.levels.set(id, (this.levels.get(id) ?? 0) * 0.5 ** (days / half))
    for (const [id, { perDay, until }] of Object.entries(this.driftPerDay)) {
      const next = (this.levels.get(id) ?? 0) + perDay * days
      this.levels.set(id, perDay < 0 ? Math.max(until, next) : Math.min(until, next))
    }
  }
}
