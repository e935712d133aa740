import { VOLUME, type Calculator } from './calculator.ts'

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
