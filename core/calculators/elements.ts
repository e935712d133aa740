import { ingredientById } from '../catalogue/ingredient.ts'
import { RAISE_A_DAY } from '../catalogue/daily-caps.data.ts'
import { SALTS } from '../catalogue/handbook/dosing.data.ts'
import { ceilQuotient } from '../numbers/rounding.ts'
import type { Sentence } from '../words/measure.ts'
import { VOLUME, type Calculator, type Values } from './calculator.ts'

/** Most that may be raised in a day, outbreaks.md 5.4, by what a salt adds, in the salt's own steps' unit. */
const CAPS: Readonly<Record<string, { cap: number; unit: string }>> = {
  alk: { cap: RAISE_A_DAY['alk-kh'].usual, unit: 'dKH' },
  ca: { cap: RAISE_A_DAY.ca.careful, unit: 'mg/L' },
  mg: { cap: RAISE_A_DAY.mg.careful, unit: 'mg/L' },
  k: { cap: RAISE_A_DAY.k.careful, unit: 'mg/L' },
  no3: { cap: RAISE_A_DAY.no3.careful, unit: 'mg/L' },
  po4: { cap: RAISE_A_DAY.po4.careful, unit: 'mg/L' },
  sio2: { cap: RAISE_A_DAY.sio2.careful, unit: 'mg/L' },
}

/** Salts whose step and cap are in one unit. */
export const ELEMENT_SALTS = SALTS.rows.flatMap(({ id, adds, gPer100L, step, sideEffect }) => {
  const cap = CAPS[adds.toLowerCase()]
  const size = Number.parseFloat(step)
  return cap && gPer100L !== null && Number.isFinite(size)
    ? [{ id, adds, gPer100L, step: size, sideEffect, ...cap }]
    : []
})

const saltOf = (values: Values) => ELEMENT_SALTS.find(({ id }) => id === values['salt']) ?? ELEMENT_SALTS[0]!

/** A figure of a salt's side effect, for one of the salt's steps: "K +0.63 mg/L", "alk +0.09 dKH per mg/L". */
const BROUGHT = /^(.*?\+)(\d+(?:\.\d+)?) (mg\/L|dKH)(?: per mg\/L)?(.*)$/

/** What a salt brings besides, for so many of its steps. */
function alsoBrings(sideEffect: string, steps: number): Sentence {
  const found = BROUGHT.exec(sideEffect)
  if (!found) return sideEffect
  const [, before, figure, unit, after] = found as unknown as [string, string, string, string, string]
  return [before, { value: Number(figure) * steps, unit, digits: 3 }, ` in all${after}`]
}

/** Degrees of alkalinity that one step of a salt brings besides; 0 for those that bring none. */
function alkalinityBrought(sideEffect: string): number {
  const found = BROUGHT.exec(sideEffect)
  return found?.[3] === 'dKH' ? Number(found[2]) : 0
}

export const ELEMENT: Calculator = {
  id: 'element',
  group: 'Nutrients and elements',
  title: 'An element or a nutrient up',
  about: 'grams in all, and over how many days',
  fields: (values) => [
    VOLUME,
    {
      id: 'salt',
      label: 'With',
      choices: ELEMENT_SALTS.map(({ id, adds }) => ({ value: id, label: `${id.replace(/-/g, ' ')}: ${adds}` })),
      start: ELEMENT_SALTS[0]!.id,
    },
    { id: 'now', label: 'Now', unit: saltOf(values).unit },
    { id: 'target', label: 'Wanted', unit: saltOf(values).unit },
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
    const isTender = reading.text('sps') === 'yes'
    const own = salt.adds.toLowerCase() === 'alk' && isTender ? salt.cap / 2 : salt.cap
    // What brings alkalinity besides is held by alkalinity's cap too, the smaller of both: further-schools.md 8.
    const perStep = alkalinityBrought(salt.sideEffect)
    const alkalinityCap = CAPS['alk']!.cap * (isTender ? 0.5 : 1)
    const cap = perStep > 0 ? Math.min(own, (alkalinityCap / perStep) * salt.step) : own
    const days = ceilQuotient(gap / cap)
    const grams = (salt.gPer100L * gap * volumeL) / salt.step / 100
    return {
      lead: { what: 'a day', value: grams / days, unit: 'g' },
      says: `for ${days === 1 ? 'one day' : `${days} days`}, ${Number(grams.toPrecision(4))} g in all; test before each`,
      lines: [
        { what: 'rise a day', value: gap / days, unit: salt.unit },
        { what: 'at most a day', value: cap, unit: salt.unit },
        { what: 'it also brings', value: alsoBrings(salt.sideEffect, gap / salt.step) },
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
        value: [{ value: litres, unit: 'L', digits: 3 }, ' → ', { value: reached, unit, digits: 3 }],
      })),
      cautions: [
        'Find the source first; a level that drops in a day harms corals more than one that is high. Keep nitrate over 2 and phosphate over 0.03.',
      ],
    }
  },
}
