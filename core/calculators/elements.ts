import { ingredientById } from '../catalogue/ingredient.ts'
import { bandFor, parameterById } from '../catalogue/parameter.ts'
import { countedShare } from '../catalogue/salt-formulas.ts'
import { ceilingOf } from '../catalogue/ceiling.ts'
import { FLOORS, LOWER_CAPS, planChanges } from '../water/correction/lower.ts'
import { planRaise, type RaisePlan } from '../water/correction/raise.ts'
import { CORRECTION_SALTS, type CorrectionSalt } from '../water/correction/salts.ts'
import type { Sentence } from '../words/measure.ts'
import { VOLUME, type Calculator } from './calculator.ts'

/** A parameter's unit as a field shows it. */
const unitOf = (parameter: string): string => parameterById(parameter)?.unit ?? 'mg/L'

const nameOf = (parameter: string): string => parameterById(parameter)?.name ?? parameter

const saltOf = (id: string | undefined): CorrectionSalt =>
  CORRECTION_SALTS.find((salt) => salt.id === id) ?? CORRECTION_SALTS[0]!

/** What a salt brings besides, in all. */
function alsoBrings({ sideEffect }: CorrectionSalt, side: RaisePlan['side']): Sentence {
  if (!side) return sideEffect
  const [before, after = ''] = sideEffect.split(/\+\d+(?:\.\d+)? (?:mg\/L|dKH)(?: per mg\/L)?/)
  return [`${before}+`, { value: side.inAll, unit: unitOf(side.parameter), digits: 3 }, ` in all${after}`]
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
      choices: CORRECTION_SALTS.map(({ id, parameter }) => ({
        value: id,
        label: `${id.replace(/-/g, ' ')}: ${parameterById(parameter)?.name}`,
      })),
      start: CORRECTION_SALTS[0]!.id,
    },
    { id: 'now', label: 'Now', unit: unitOf(saltOf(values['salt']).parameter) },
    { id: 'target', label: 'Wanted', unit: unitOf(saltOf(values['salt']).parameter) },
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
    const salt = CORRECTION_SALTS.find(({ id }) => id === reading.text('salt'))
    if (!salt) return reading.fault('salt', 'one of the salts') ?? null
    if (volumeL === undefined || now === undefined || target === undefined) return null
    const ceiling = ceilingOf(salt.parameter)
    const unit = unitOf(salt.parameter)
    if (ceiling !== null && target > ceiling)
      return (
        reading.fault('target', `over the ${reading.said(ceiling, unit)} that ${nameOf(salt.parameter)} may come to`) ??
        null
      )
    const isTender = reading.text('sps') === 'yes'
    const planned = planRaise({
      salt,
      now,
      target,
      netL: volumeL,
      // The careful end for what has a range; alkalinity's own cap is halved by the corals alone.
      pace: salt.parameter === 'alk-kh' ? 'usual' : 'careful',
      hasSmallPolyps: isTender,
    })
    if (!planned.ok) return reading.fault('target', planned.error.message) ?? null
    const { days, gramsPerDay, gramsInAll, risePerDay, capPerDay, capBy, portions, side } = planned.value
    const band = bandFor(parameterById(salt.parameter)!, isTender ? 'reef-sps' : 'reef-lps')
    const ingredient = ingredientById(salt.id)
    return {
      lead: { what: 'a day', value: gramsPerDay, unit: 'g' },
      says: `for ${days === 1 ? 'one day' : `${days} days`}, ${Number(gramsInAll.toPrecision(4))} g in all; test before each`,
      lines: [
        { what: 'rise a day', value: risePerDay, unit },
        { what: capBy === 'side' ? 'at most a day, by what it brings along' : 'at most a day', value: capPerDay, unit },
        ...(portions > 1 ? [{ what: 'portions a day, hours apart', value: portions, unit: '' }] : []),
        ...(ceiling === null ? [] : [{ what: 'may come to, at most', value: ceiling, unit }]),
        { what: 'it also brings', value: alsoBrings(salt, side) },
      ],
      cautions: [
        'Dissolve in fresh water first, into strong flow; calcium and alkalinity at least half an hour apart.',
        ...[[ingredient?.caution, ingredient?.law].filter(Boolean).join(' ')].filter(Boolean),
        ...(band?.[1] != null && target > band[1]
          ? [`Over the usual band of ${nameOf(salt.parameter)}, at most ${reading.said(band[1], unit)}.`]
          : []),
      ],
      ...(ingredient && {
        log: {
          ingredient: salt.id,
          amount: gramsPerDay,
          massMg: 1000 * gramsPerDay * countedShare(salt.id),
          unit: 'g' as const,
        },
      }),
    }
  },
}

/** Good salt water holds none of these; of the others nobody knows. */
const NONE_IN_NEW_WATER: ReadonlySet<string> = new Set(['no3', 'po4'])

/** What comes down with water changes. */
const LOWERED = LOWER_CAPS.filter(({ parameter }) => ['no3', 'po4', 'alk-kh'].includes(parameter))

export const DOWN: Calculator = {
  id: 'down',
  group: 'Nutrients and elements',
  title: 'A nutrient down',
  about: 'with water changes, no faster than corals bear',
  fields: (values) => {
    const unit = unitOf(values['what'] ?? 'no3')
    return [
      VOLUME,
      {
        id: 'what',
        label: 'What',
        choices: LOWERED.map(({ parameter }) => ({ value: parameter, label: parameterById(parameter)!.name })),
        start: 'no3',
      },
      { id: 'now', label: 'Now', unit },
      { id: 'target', label: 'Wanted', unit },
      {
        id: 'replacement',
        label: `In the new salt water, ${nameOf(values['what'] ?? 'no3')}`,
        unit,
        ...(NONE_IN_NEW_WATER.has(values['what'] ?? 'no3')
          ? { start: '0' }
          : { hint: 'tested, or from the salt’s label' }),
      },
    ]
  },
  compute(reading) {
    const volumeL = reading.number('volumeL', { over: 0 })
    const now = reading.number('now', { over: 0 })
    const target = reading.number('target', { least: 0 })
    const replacementMgPerL = reading.number('replacement', { least: 0 })
    const cap = LOWERED.find(({ parameter }) => parameter === reading.text('what')) ?? LOWERED[0]!
    if (volumeL === undefined || now === undefined || target === undefined || replacementMgPerL === undefined)
      return null
    if (target >= now)
      return (
        reading.fault(
          'target',
          `at or over the ${reading.said(now, unitOf(cap.parameter))} there is: nothing to lower`,
        ) ?? null
      )
    const first = reading.ask(
      'waterChange.forTarget',
      { startMgPerL: now, targetMgPerL: Math.max(target, now - cap.capAt(now)), replacementMgPerL, maxFraction: 1 },
      { '/targetMgPerL': 'target', '/startMgPerL': 'now' },
      `the new water holds as much ${nameOf(cap.parameter)}: use water with less of it`,
    )
    if (!first) return null
    const planned = planChanges({
      parameter: cap.parameter,
      now,
      target,
      netL: volumeL,
      replacement: replacementMgPerL,
      maxFraction: 1,
    })
    if (!planned.ok) return reading.fault('target', planned.error.message) ?? null
    const days = planned.value
    const unit = unitOf(cap.parameter)
    return {
      lead: { what: 'change today', value: days[0]!.litres, unit: 'L' },
      says: days.length === 1 ? 'once is enough' : `${days.length} days, at most ${cap.words} a day`,
      lines: days.slice(0, 14).map(({ day, litres, reaches }) => ({
        what: `day ${day}`,
        value: [{ value: litres, unit: 'L', digits: 3 }, ' → ', { value: reaches, unit, digits: 3 }],
      })),
      cautions: [
        cap.parameter in FLOORS
          ? `Find the source first; a drop within a day harms corals more than a high value. Keep nitrate over ${FLOORS['no3']} and phosphate over ${FLOORS['po4']} mg/L.`
          : 'Find what raised it first; a drop within a day harms corals more than a high value.',
      ],
    }
  },
}
