import { freeAmmoniaStep } from '../ammonia/free-steps.ts'
import { seawaterDensity } from '../salinity/seawater.ts'
import { VOLUME, type Calculator, type Values } from './calculator.ts'

const HOURS_A_DAY = 24
/** 0.002 SG a day: quarantine.md 5.2, coming up from hyposalinity. */
const MOST_RISE_PSU_A_DAY = 2.7

const isRaise = ({ from, to }: Values): boolean => Number(to) > Number(from)

export const SALINITY_SWAP: Calculator = {
  id: 'salinity',
  group: 'Salinity',
  title: 'Salinity down or up',
  about: 'how much to swap at each step; hyposalinity and back',
  fields: (values) => [
    VOLUME,
    { id: 'from', label: 'Now', unit: 'psu' },
    { id: 'to', label: 'Wanted', unit: 'psu' },
    { id: 'replacement', label: 'In the new water', unit: 'psu', hint: 'fresh water is 0 psu, SG 1.000' },
    { id: 'step', label: 'At most in one step', unit: 'psu apart', start: '2' },
    { id: 'hours', label: 'Between steps', unit: 'h', start: isRaise(values) ? '24' : '12' },
  ],
  compute(reading) {
    const psu = (id: string) => reading.number(id, { least: 0, most: 50, rather: 'such as 35 psu, or SG 1.026' })
    const volumeL = reading.number('volumeL', { over: 0 })
    const [fromPsu, toPsu, replacementPsu] = [psu('from'), psu('to'), psu('replacement')]
    const maxStepPsu = reading.number('step', { over: 0 })
    const hoursBetween = reading.number('hours', { least: 0 })
    if (
      volumeL === undefined ||
      fromPsu === undefined ||
      toPsu === undefined ||
      replacementPsu === undefined ||
      maxStepPsu === undefined ||
      hoursBetween === undefined
    )
      return null
    const perDay = (Math.min(maxStepPsu, Math.abs(toPsu - fromPsu)) * HOURS_A_DAY) / Math.max(hoursBetween, 1e-9)
    const isSeveral = Math.abs(toPsu - fromPsu) > maxStepPsu + 1e-9
    if (toPsu > fromPsu && (isSeveral ? perDay : toPsu - fromPsu) > MOST_RISE_PSU_A_DAY + 1e-9)
      return (
        reading.fault(
          isSeveral && maxStepPsu <= MOST_RISE_PSU_A_DAY ? 'hours' : 'step',
          'too fast: up by at most 0.002 SG a day. A smaller step, or a day between the steps',
        ) ?? null
      )
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
          : [`${out.steps.length} swaps, `, { value: out.totalL, unit: 'L' }, ' in all'],
      lines: [
        ...out.steps.map(({ afterHours, replaceL, psu: reached }, i) => ({
          what: i === 0 ? 'now' : `after ${Number(afterHours.toFixed(1))} h`,
          value: [{ value: replaceL, unit: 'L' }, ' → ', { value: reached, unit: 'psu' }],
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
      // The higher of the two decides, whichever it is.
      cautions: [freeAmmoniaStep(Math.max(free.freeMgPerL, lowMgPerL))?.words ?? []].flat(),
    }
  },
}
