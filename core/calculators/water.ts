import { ingredientById } from '../catalogue/ingredient.ts'
import { SALTS } from '../catalogue/handbook/dosing.data.ts'
import { seawaterDensity } from '../salinity/seawater.ts'
import { ceilQuotient } from '../numbers/rounding.ts'
import {
  CACO3_MG_PER_MEQ,
  celsiusFromFahrenheit,
  DKH_PER_MEQ,
  fahrenheitFromCelsius,
  L_PER_UK_GAL,
  L_PER_US_GAL,
} from '../units/units.ts'
import type { Calculator } from './calculator.ts'

const VOLUME = { id: 'volumeL', label: 'Net volume', unit: 'L' }

export const CHANGES_LEFT: Calculator = {
  id: 'changes-left',
  group: 'After a water change',
  title: 'What is left after several changes',
  about: 'each takes its share of what the last one left',
  fields: () => [
    { id: 'start', label: 'Level before', unit: 'mg/L' },
    { id: 'percent', label: 'Changed each time', unit: '%', start: '50' },
    { id: 'times', label: 'Times', start: '2' },
    { id: 'replacement', label: 'In the new water', unit: 'mg/L', start: '0' },
  ],
  compute(reading) {
    const startMgPerL = reading.number('start', { least: 0 })
    const percent = reading.number('percent', { over: 0, most: 100 })
    const times = reading.number('times', { least: 1, most: 50 })
    const replacementMgPerL = reading.number('replacement', { least: 0 })
    if (startMgPerL === undefined || percent === undefined || times === undefined || replacementMgPerL === undefined)
      return null
    const out = reading.ask(
      'waterChange.sequence',
      {
        startMgPerL,
        replacementMgPerL,
        fractions: Array.from({ length: Math.round(times) }, () => percent / 100),
      },
      { '/startMgPerL': 'start' },
    )
    if (!out) return null
    return {
      lead: { what: 'left', value: out.afterEach.at(-1)!, unit: 'mg/L' },
      says: `${Number((100 * out.remainingFraction).toPrecision(3))} % of the old water stays`,
      lines: out.afterEach.map((value, i) => ({ what: `after change ${i + 1}`, value, unit: 'mg/L' })),
      cautions: [],
    }
  },
}

export const CHANGE_FOR: Calculator = {
  id: 'change-for',
  group: 'After a water change',
  title: 'How much to change',
  about: 'to bring a level down to a target',
  fields: () => [
    VOLUME,
    { id: 'start', label: 'Level now', unit: 'mg/L' },
    { id: 'target', label: 'Level wanted', unit: 'mg/L' },
    { id: 'replacement', label: 'In the new water', unit: 'mg/L', start: '0' },
    { id: 'most', label: 'At most in one change', unit: '%', start: '50' },
  ],
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const startMgPerL = reading.number('start', { over: 0 })
    const targetMgPerL = reading.number('target', { least: 0 })
    const replacementMgPerL = reading.number('replacement', { least: 0 })
    const most = reading.number('most', { over: 0, most: 100 })
    if (
      volumeL === undefined ||
      startMgPerL === undefined ||
      targetMgPerL === undefined ||
      replacementMgPerL === undefined ||
      most === undefined
    )
      return null
    const out = reading.ask(
      'waterChange.forTarget',
      { startMgPerL, targetMgPerL, replacementMgPerL, maxFraction: most / 100 },
      { '/targetMgPerL': 'target', '/startMgPerL': 'start' },
      'no change of this water gets there: it lies between the level now and what the new water brings',
    )
    if (!out) return null
    return {
      lead: { what: 'change', value: out.equalFraction * volumeL, unit: 'L' },
      says:
        out.changes === 1
          ? 'once'
          : `${out.changes} times, the same each time; ${Number((100 * out.equalFraction).toPrecision(3))} % each`,
      lines: [{ what: 'in one single change', value: out.singleFraction * volumeL, unit: 'L' }],
      cautions: ['Match temperature and salinity; ammonia rises in toxicity with pH: aerate the new water first.'],
    }
  },
}

const UNIT = {
  id: 'unit',
  label: 'Salinity in',
  choices: [
    { value: 'psu', label: 'psu (ppt)' },
    { value: 'sg', label: 'specific gravity' },
  ],
  start: 'psu',
}

export const SALINITY_SWAP: Calculator = {
  id: 'salinity',
  group: 'Salinity',
  title: 'Salinity down or up',
  about: 'litres to swap at each step; hyposalinity and back',
  fields: () => [
    VOLUME,
    UNIT,
    { id: 'from', label: 'Now' },
    { id: 'to', label: 'Wanted' },
    { id: 'replacement', label: 'In the new water', hint: '0 for fresh water; SG 1.000' },
    { id: 'step', label: 'At most in one step', unit: 'psu', start: '2' },
    { id: 'hours', label: 'Between steps', unit: 'h', start: '12' },
  ],
  compute(reading) {
    const unit = reading.text('unit') === 'sg' ? ('sg' as const) : ('psu' as const)
    const rather = unit === 'sg' ? 'specific gravity, such as 1.025' : 'psu, such as 35'
    const limits = unit === 'sg' ? { least: 0.99, most: 1.045, rather } : { least: 0, most: 50, rather }
    const psu = (id: string): number | undefined => {
      const value = reading.number(id, limits)
      if (value === undefined || unit === 'psu') return value
      // Fresh water reads 1.000 and may come a hair under it.
      return value <= 1 ? 0 : reading.ask('salinity.convert', { value, unit }, { '': id })?.psu
    }
    const volumeL = reading.number('volumeL', { over: 0 })
    const [fromPsu, toPsu, replacementPsu] = [psu('from'), psu('to'), psu('replacement')]
    const maxStepPsu = reading.number('step', { over: 0 })
    const hoursBetween = reading.number('hours', { over: 0 })
    if (
      volumeL === undefined ||
      fromPsu === undefined ||
      toPsu === undefined ||
      replacementPsu === undefined ||
      maxStepPsu === undefined ||
      hoursBetween === undefined
    )
      return null
    const out = reading.ask(
      'salinity.swap',
      { volumeL, fromPsu, toPsu, replacementPsu, maxStepPsu, hoursBetween },
      { '/toPsu': 'to', '/replacementPsu': 'replacement' },
      'the new water does not lead there: it has to lie beyond what is wanted',
    )
    if (!out) return null
    const first = out.steps[0]
    return {
      lead: { what: 'first swap', value: first?.replaceL ?? 0, unit: 'L' },
      says:
        out.steps.length === 0
          ? 'it is there already'
          : `${out.steps.length} swaps, ${Number(out.totalL.toPrecision(4))} L in all`,
      lines: [
        ...out.steps.map(({ afterHours, replaceL, psu: reached }, i) => ({
          what: i === 0 ? 'now' : `after ${Number(afterHours.toFixed(1))} h`,
          value: `${Number(replaceL.toPrecision(4))} L → ${Number(reached.toPrecision(4))} psu`,
        })),
        ...(toPsu > fromPsu
          ? [
              {
                what: 'or dry salt in all, at least',
                value: (volumeL * seawaterDensity(toPsu, 25) * (toPsu - fromPsu)) / 1000,
                unit: 'g; mixes hold water, so a tenth more',
              },
            ]
          : []),
      ],
      cautions: [
        'Raise slowly: at most 0.002 SG, about 2.7 psu, a day. Hyposalinity harms invertebrates, corals and live rock; test twice a day.',
      ],
    }
  },
}

export const AMMONIA: Calculator = {
  id: 'ammonia',
  group: 'Ammonia',
  title: 'Kit against card',
  about: 'how much of the ammonia is free, and whether the two really disagree',
  fields: () => [
    { id: 'tan', label: 'Total ammonia by the kit', unit: 'mg/L N' },
    { id: 'sd', label: 'The kit may be off by', unit: 'mg/L', start: '0.1' },
    { id: 'pH', label: 'pH' },
    { id: 'temperatureC', label: 'Temperature', unit: '°C', start: '25' },
    { id: 'salinity', label: 'Salinity', unit: 'psu', start: '35' },
    { id: 'cardLow', label: 'The card shows, from', unit: 'mg/L N', start: '0' },
    { id: 'cardHigh', label: 'to', unit: 'mg/L N', start: '0.02' },
  ],
  compute(reading) {
    const tanMgPerL = reading.number('tan', { least: 0 })
    const off = reading.number('sd', { least: 0 })
    const pH = reading.number('pH', { least: 0, most: 14, rather: 'such as 8.1' })
    const temperatureC = reading.number('temperatureC', { least: 0, most: 40 })
    const salinityPsu = reading.number('salinity', { least: 0, most: 50, rather: 'psu, such as 35' })
    const lowMgPerL = reading.number('cardLow', { least: 0 })
    const highMgPerL = reading.number('cardHigh', { least: 0 })
    if (
      tanMgPerL === undefined ||
      off === undefined ||
      pH === undefined ||
      temperatureC === undefined ||
      salinityPsu === undefined ||
      lowMgPerL === undefined ||
      highMgPerL === undefined
    )
      return null
    const water = { pH, temperatureC, salinityPsu }
    const free = reading.ask('ammonia.free', { tanMgPerL, ...water }, { '/tanMgPerL': 'tan' })
    const out = reading.ask(
      'ammonia.compare',
      { kit: { tanMgPerL, sdMgPerL: off / 2 }, indicator: { lowMgPerL, highMgPerL }, ...water },
      { '/indicator': 'cardLow', '/kit': 'tan' },
    )
    if (!free || !out) return null
    const verdicts = {
      agree: 'the kit and the card agree',
      'indicator-low': 'the card shows less than the kit’s ammonia would give: act on the kit, test again',
      'indicator-high': 'the card shows more than the kit’s ammonia would give: act on the card, test again',
    }
    return {
      lead: { what: 'free ammonia', value: free.freeMgPerL, unit: 'mg/L N' },
      says: verdicts[out.verdict],
      lines: [
        { what: 'of the total', value: 100 * free.fraction, unit: '%' },
        { what: 'the kit’s range of free ammonia, from', value: out.fromMgPerL, unit: 'mg/L N' },
        { what: 'to', value: out.toMgPerL, unit: 'mg/L N' },
      ],
      cautions:
        free.freeMgPerL >= FREE_HARMS
          ? ['Over 0.02 mg/L free ammonia harms fish: change water, add air, feed nothing.']
          : [],
    }
  },
}

/** Free ammonia that harms on the long run, mg/L N: the limit of acclimation.md for tender fish. */
const FREE_HARMS = 0.02

export const BY_DOSE: Calculator = {
  id: 'volume-by-dose',
  group: 'How much water is it',
  title: 'By a known dose',
  about: 'what it raised says how much water there is',
  fields: () => [
    {
      id: 'tracer',
      label: 'Dosed',
      choices: [
        { value: 'bicarbonate', label: 'sodium bicarbonate, by alkalinity' },
        { value: 'other', label: 'something else, by its own test' },
      ],
      start: 'bicarbonate',
    },
    { id: 'amount', label: 'Amount', unit: 'g bicarbonate, or mg of what is tested' },
    { id: 'before', label: 'Before', unit: 'dKH or mg/L' },
    { id: 'after', label: 'After', unit: 'dKH or mg/L' },
    { id: 'sd', label: 'Each test may be off by', start: '0.1' },
  ],
  compute(reading) {
    const amount = reading.number('amount', { over: 0 })
    const before = reading.number('before', { least: 0 })
    const after = reading.number('after', { over: 0 })
    const off = reading.number('sd', { least: 0 })
    if (amount === undefined || before === undefined || after === undefined || off === undefined) return null
    const isBicarbonate = reading.text('tracer') !== 'other'
    // 33.4 L a gram and degree: outbreaks.md 1.
    const massMg = isBicarbonate ? amount * L_PER_G_DKH : amount
    const out = reading.ask(
      'tank.volumeFromDose',
      { massMg, before: { mgPerL: before, sdMgPerL: off / 2 }, after: { mgPerL: after, sdMgPerL: off / 2 } },
      { '/after': 'after', '/before': 'before' },
      'not over what it was before: the dose has not mixed, or it was too small',
    )
    if (!out) return null
    return {
      lead: { what: 'net volume', value: out.netL, unit: 'L' },
      says: `± ${Number((2 * out.sdL).toPrecision(2))} L`,
      lines:
        isBicarbonate && after - before < 0.8
          ? [{ what: 'a rise under 0.8 dKH', value: 'tells little: dose more' }]
          : [],
      cautions: isBicarbonate ? ['Raise alkalinity by at most 1 dKH a day, 0.5 with stony corals.'] : [],
    }
  },
}

/** Litres that one gram of sodium bicarbonate raises by one degree: outbreaks.md 1, net_L = 33.4 × g / dKH. */
const L_PER_G_DKH = 33.4

/** Most that may be raised in a day, outbreaks.md 5.4, by what a salt adds, in the salt's own steps' unit. */
const RAISE_A_DAY: Readonly<Record<string, { cap: number; unit: string }>> = {
  alk: { cap: 1, unit: 'dKH' },
  ca: { cap: 20, unit: 'mg/L' },
  mg: { cap: 50, unit: 'mg/L' },
  k: { cap: 10, unit: 'mg/L' },
  no3: { cap: 2, unit: 'mg/L' },
  po4: { cap: 0.02, unit: 'mg/L' },
  sio2: { cap: 1, unit: 'mg/L' },
}

/** Salts whose step and cap are in one unit. */
export const ELEMENT_SALTS = SALTS.rows.flatMap(({ id, adds, gPer100L, step, sideEffect }) => {
  const cap = RAISE_A_DAY[adds.toLowerCase()]
  const size = Number.parseFloat(step)
  return cap && gPer100L !== null && Number.isFinite(size)
    ? [{ id, adds, gPer100L, step: size, sideEffect, ...cap }]
    : []
})

export const ELEMENT: Calculator = {
  id: 'element',
  group: 'Nutrients and elements',
  title: 'An element or a nutrient up',
  about: 'grams in all, and over how many days',
  fields: () => [
    VOLUME,
    {
      id: 'salt',
      label: 'With',
      choices: ELEMENT_SALTS.map(({ id, adds }) => ({ value: id, label: `${id.replace(/-/g, ' ')}: ${adds}` })),
      start: ELEMENT_SALTS[0]!.id,
    },
    { id: 'now', label: 'Now' },
    { id: 'target', label: 'Wanted' },
    {
      id: 'sps',
      label: 'Stony corals',
      choices: [
        { value: 'no', label: 'no' },
        { value: 'yes', label: 'yes: half the pace for alkalinity' },
      ],
      start: 'no',
    },
  ],
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const now = reading.number('now', { least: 0 })
    const target = reading.number('target', { over: 0 })
    const salt = ELEMENT_SALTS.find(({ id }) => id === reading.text('salt'))
    if (!salt) return reading.fault('salt', 'one of the salts') ?? null
    if (volumeL === undefined || now === undefined || target === undefined) return null
    if (target <= now)
      return (
        reading.fault('target', `under or at the ${now} there is: it comes down with water changes, not with a salt`) ??
        null
      )
    const gap = target - now
    const cap = salt.adds.toLowerCase() === 'alk' && reading.text('sps') === 'yes' ? salt.cap / 2 : salt.cap
    const days = ceilQuotient(gap / cap)
    const grams = (salt.gPer100L * gap * volumeL) / salt.step / 100
    return {
      lead: { what: 'a day', value: grams / days, unit: 'g' },
      says: `for ${days === 1 ? 'one day' : `${days} days`}, ${Number(grams.toPrecision(4))} g in all; test before each`,
      lines: [
        { what: 'rise a day', value: gap / days, unit: salt.unit },
        { what: 'at most a day', value: cap, unit: salt.unit },
        { what: 'it also brings', value: salt.sideEffect },
      ],
      cautions: [
        'Dissolve in fresh water first, into strong flow; calcium and alkalinity at least half an hour apart.',
      ],
      ...(ingredientById(salt.id) && {
        log: { ingredient: salt.id, amount: grams / days, massMg: (1000 * grams) / days, unit: 'g' as const },
      }),
    }
  },
}

/** Most that may be taken off in a day, outbreaks.md 5.4, at a level. */
const LOWER_A_DAY: readonly {
  value: string
  label: string
  unit: string
  cap: (level: number) => number
  words: string
}[] = [
  {
    value: 'no3',
    label: 'nitrate',
    unit: 'mg/L',
    cap: (level) => Math.min(5, level / 4),
    words: '5 mg/L or a quarter, the smaller',
  },
  {
    value: 'po4',
    label: 'phosphate',
    unit: 'mg/L',
    cap: (level) => (level < 0.2 ? 0.02 : level / 5),
    words: '0.02 mg/L, above 0.2 a fifth',
  },
  { value: 'alk', label: 'alkalinity', unit: 'dKH', cap: () => 0.5, words: 'half a degree' },
]
const MOST_DAYS = 60

export const DOWN: Calculator = {
  id: 'down',
  group: 'Nutrients and elements',
  title: 'A nutrient down',
  about: 'with water changes, no faster than corals bear',
  fields: (values) => {
    const unit = LOWER_A_DAY.find(({ value }) => value === (values['what'] ?? 'no3'))?.unit ?? 'mg/L'
    return [
      VOLUME,
      { id: 'what', label: 'What', choices: LOWER_A_DAY.map(({ value, label }) => ({ value, label })), start: 'no3' },
      { id: 'now', label: 'Now', unit },
      { id: 'target', label: 'Wanted', unit },
      { id: 'replacement', label: 'In the new water', unit, start: '0' },
    ]
  },
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const now = reading.number('now', { over: 0 })
    const target = reading.number('target', { least: 0 })
    const replacementMgPerL = reading.number('replacement', { least: 0 })
    const { unit, cap, words } = LOWER_A_DAY.find(({ value }) => value === reading.text('what')) ?? LOWER_A_DAY[0]!
    if (volumeL === undefined || now === undefined || target === undefined || replacementMgPerL === undefined)
      return null
    const days: { litres: number; level: number }[] = []
    let level = now
    while (level > target + 1e-9 && days.length < MOST_DAYS) {
      const wanted = Math.max(target, level - cap(level))
      const change = reading.ask(
        'waterChange.forTarget',
        { startMgPerL: level, targetMgPerL: wanted, replacementMgPerL, maxFraction: 1 },
        { '/targetMgPerL': 'target', '/startMgPerL': 'now' },
        'the new water brings as much: use cleaner water',
      )
      if (!change) return null
      level = wanted
      days.push({ litres: change.singleFraction * volumeL, level })
    }
    const first = days[0]
    if (!first) return reading.fault('target', `at or over the ${now} there is: nothing has to come down`) ?? null
    return {
      lead: { what: 'change today', value: first.litres, unit: 'L' },
      says: days.length === 1 ? 'once is enough' : `${days.length} days, at most ${words} a day`,
      lines: days.slice(0, 14).map(({ litres, level: reached }, i) => ({
        what: `day ${i}`,
        value: `${Number(litres.toPrecision(3))} L → ${Number(reached.toPrecision(3))} ${unit}`,
      })),
      cautions: [
        'Find the source first; a level that drops in a day harms corals more than one that is high. Keep nitrate over 2 and phosphate over 0.03.',
      ],
    }
  },
}

export const UV: Calculator = {
  id: 'uv',
  group: 'Equipment',
  title: 'UV: how large, how fast',
  about: 'the dose a pass gives, and how often all the water passes',
  fields: () => [
    VOLUME,
    { id: 'watts', label: 'UV-C of the lamp', unit: 'W', hint: 'what it gives off, about a third of what it takes' },
    { id: 'gap', label: 'Water gap round the lamp', unit: 'cm' },
    { id: 'flow', label: 'Flow', unit: 'L/h' },
    { id: 'transmission', label: 'Clearness', unit: '%', start: '100' },
  ],
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const uvcWatts = reading.number('watts', { over: 0 })
    const gapCm = reading.number('gap', { over: 0 })
    const flowLPerHour = reading.number('flow', { over: 0 })
    const percent = reading.number('transmission', { over: 0, most: 100 })
    if (
      volumeL === undefined ||
      uvcWatts === undefined ||
      gapCm === undefined ||
      flowLPerHour === undefined ||
      percent === undefined
    )
      return null
    const out = reading.ask(
      'uv.size',
      { uvcWatts, gapCm, flowLPerHour, volumeL, transmission: percent / 100 },
      { '/flowLPerHour': 'flow' },
    )
    if (!out) return null
    return {
      lead: { what: 'a pass', value: out.doseMjPerCm2, unit: 'mJ/cm²' },
      says:
        out.doseMjPerCm2 >= 90
          ? 'good for dinoflagellates'
          : out.doseMjPerCm2 >= 45
            ? 'enough for dinoflagellates; 90 is better'
            : 'under the 45 that dinoflagellates ask for: slow the flow',
      lines: [{ what: 'turnovers', value: out.turnoversPerHour, unit: 'an hour; 1 to 3 are wanted' }],
      cautions: [
        'Never look at the lamp. Unplug before opening; drip loops and a residual-current device. Off while drugs are in the water.',
      ],
    }
  },
}

interface Conversion {
  value: string
  label: string
  unit: string
  to: (value: number) => { what: string; value: number; unit: string }[]
}

const CONVERSIONS: readonly Conversion[] = [
  {
    value: 'us-gal',
    label: 'US gallons',
    unit: 'US gal',
    to: (v) => [
      { what: 'litres', value: v * L_PER_US_GAL, unit: 'L' },
      { what: 'UK gallons', value: (v * L_PER_US_GAL) / L_PER_UK_GAL, unit: 'UK gal' },
    ],
  },
  {
    value: 'uk-gal',
    label: 'UK gallons',
    unit: 'UK gal',
    to: (v) => [
      { what: 'litres', value: v * L_PER_UK_GAL, unit: 'L' },
      { what: 'US gallons', value: (v * L_PER_UK_GAL) / L_PER_US_GAL, unit: 'US gal' },
    ],
  },
  {
    value: 'litres',
    label: 'litres',
    unit: 'L',
    to: (v) => [
      { what: 'US gallons', value: v / L_PER_US_GAL, unit: 'US gal' },
      { what: 'UK gallons', value: v / L_PER_UK_GAL, unit: 'UK gal' },
    ],
  },
  {
    value: 'mg-per-gal',
    label: 'mg in a US gallon',
    unit: 'mg/US gal',
    to: (v) => [{ what: 'milligrams in a litre (ppm)', value: v / L_PER_US_GAL, unit: 'mg/L' }],
  },
  {
    value: 'mg-per-l',
    label: 'mg in a litre (ppm)',
    unit: 'mg/L',
    to: (v) => [{ what: 'milligrams in a US gallon', value: v * L_PER_US_GAL, unit: 'mg/US gal' }],
  },
  {
    value: 'dkh',
    label: 'alkalinity, dKH',
    unit: 'dKH',
    to: (v) => [
      { what: 'milliequivalents', value: v / DKH_PER_MEQ, unit: 'meq/L' },
      { what: 'ppm as calcium carbonate', value: (v / DKH_PER_MEQ) * CACO3_MG_PER_MEQ, unit: 'ppm' },
    ],
  },
  {
    value: 'ppm-caco3',
    label: 'alkalinity, ppm as calcium carbonate',
    unit: 'ppm',
    to: (v) => [{ what: 'degrees', value: (v / CACO3_MG_PER_MEQ) * DKH_PER_MEQ, unit: 'dKH' }],
  },
  {
    value: 'f',
    label: 'Fahrenheit',
    unit: '°F',
    to: (v) => [{ what: 'Celsius', value: celsiusFromFahrenheit(v), unit: '°C' }],
  },
  {
    value: 'c',
    label: 'Celsius',
    unit: '°C',
    to: (v) => [{ what: 'Fahrenheit', value: fahrenheitFromCelsius(v), unit: '°F' }],
  },
  {
    value: 'drops',
    label: 'drops, 20 to a mL',
    unit: 'drops',
    to: (v) => [{ what: 'millilitres', value: v / 20, unit: 'mL' }],
  },
]

export const UNITS: Calculator = {
  id: 'units',
  group: 'Equipment',
  title: 'Units',
  about: 'gallons, degrees, ppm, drops, salinity',
  fields: (values) => {
    const from = values['from'] ?? 'us-gal'
    const unit = CONVERSIONS.find(({ value }) => value === from)?.unit ?? (from === 'sg' ? 'SG at 25 °C' : 'psu')
    return [
      {
        id: 'from',
        label: 'From',
        choices: [
          ...CONVERSIONS.map(({ value, label }) => ({ value, label })),
          { value: 'sg', label: 'specific gravity' },
          { value: 'psu', label: 'salinity, psu (ppt)' },
        ],
        start: 'us-gal',
      },
      { id: 'value', label: 'Value', unit },
    ]
  },
  compute(reading) {
    const value = reading.number('value')
    if (value === undefined) return null
    const from = reading.text('from')
    if (from === 'sg' || from === 'psu') {
      const out = reading.ask('salinity.convert', { value, unit: from }, { '': 'value' })
      if (!out) return null
      return {
        lead:
          from === 'sg'
            ? { what: 'salinity', value: out.psu, unit: 'psu' }
            : { what: 'specific gravity', value: out.sg.toFixed(4) },
        lines: [{ what: 'density', value: out.densityKgPerM3, unit: 'kg/m³' }],
        cautions: [],
      }
    }
    const conversion = CONVERSIONS.find((one) => one.value === from) ?? CONVERSIONS[0]!
    if (value < 0 && from !== 'c' && from !== 'f') return reading.fault('value', 'nothing is less than none') ?? null
    const [lead, ...lines] = conversion.to(value)
    return { lead: lead!, lines, cautions: [] }
  },
}

const SHAPES = [
  { value: 'box', label: 'a box' },
  { value: 'cylinder', label: 'a cylinder' },
  { value: 'bow-front', label: 'a bow front' },
] as const

/** Net volume from dimensions, for a tank that is not set up here. */
export const GEOMETRY: Calculator = {
  id: 'volume',
  group: 'How much water is it',
  title: 'By its dimensions',
  about: 'box, cylinder or bow front, less sand and rock',
  fields: (values) => {
    const shape = values['shape'] ?? 'box'
    return [
      { id: 'shape', label: 'Shape', choices: SHAPES, start: 'box' },
      ...(shape === 'cylinder'
        ? [{ id: 'diameter', label: 'Diameter', unit: 'cm' }]
        : [
            { id: 'length', label: 'Length', unit: 'cm' },
            { id: 'width', label: 'Depth, front to back', unit: 'cm' },
          ]),
      ...(shape === 'bow-front' ? [{ id: 'bow', label: 'The front bows out by', unit: 'cm' }] : []),
      { id: 'height', label: 'Height', unit: 'cm' },
      { id: 'water', label: 'Water line above the floor', unit: 'cm', hint: 'empty: to the rim' },
      { id: 'sand', label: 'Sand, depth', unit: 'cm', start: '0' },
      { id: 'rock', label: 'Rock, dry', unit: 'kg', start: '0' },
      { id: 'sump', label: 'Water in the sump', unit: 'L', start: '0' },
    ]
  },
  compute(reading) {
    const kind = SHAPES.find(({ value }) => value === reading.text('shape'))?.value ?? 'box'
    const side = (id: string) => reading.number(id, { over: 0 })
    const heightCm = side('height')
    const lengthCm = kind === 'cylinder' ? 1 : side('length')
    const widthCm = kind === 'cylinder' ? 1 : side('width')
    const diameterCm = kind === 'cylinder' ? side('diameter') : 1
    const bowCm = kind === 'bow-front' ? reading.number('bow', { least: 0 }) : 0
    const waterHeightCm = reading.maybe('water', {
      over: 0,
      ...(heightCm !== undefined && { most: heightCm, rather: 'no higher than the rim' }),
    })
    const depthCm = reading.number('sand', { least: 0 })
    const dryMassKg = reading.number('rock', { least: 0 })
    const sumpL = reading.number('sump', { least: 0 })
    if (
      heightCm === undefined ||
      lengthCm === undefined ||
      widthCm === undefined ||
      diameterCm === undefined ||
      bowCm === undefined ||
      waterHeightCm === undefined ||
      depthCm === undefined ||
      dryMassKg === undefined ||
      sumpL === undefined
    )
      return null
    const shape =
      kind === 'cylinder'
        ? { kind, diameterCm, heightCm }
        : kind === 'bow-front'
          ? { kind, lengthCm, widthCm, bowCm, heightCm }
          : { kind, lengthCm, widthCm, heightCm }
    const out = reading.ask(
      'tank.volume',
      {
        shape,
        ...(waterHeightCm !== null && { waterHeightCm }),
        ...(depthCm > 0 && { substrate: { depthCm } }),
        ...(dryMassKg > 0 && { rock: { dryMassKg } }),
        sumpL,
      },
      { '/shape/bowCm': 'bow', '/shape': 'length', '/substrate': 'sand', '/rock': 'rock' },
      'sand and rock leave no water',
    )
    if (!out) return null
    return {
      lead: { what: 'net volume', value: out.netL, unit: 'L' },
      says: `of ${Number(out.grossL.toPrecision(4))} L to the rim`,
      lines: [
        { what: 'filled to the line', value: out.filledL, unit: 'L' },
        { what: 'sand and rock take', value: out.displacedL, unit: 'L' },
        { what: 'in US gallons', value: out.netL / L_PER_US_GAL, unit: 'US gal' },
      ],
      cautions: [],
    }
  },
}
