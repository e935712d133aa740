import { VOLUME, type Calculator } from './calculator.ts'

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
