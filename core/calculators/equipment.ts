import { VOLUME, type Calculator, type Reading } from './calculator.ts'

const WAYS = [
  { value: 'lamp', label: 'the lamp and its housing' },
  { value: 'label', label: 'what the label rates it at' },
]

/** A pass that good for dinoflagellates, and a better one, mJ/cm²: outbreaks.md 5.5, further-schools.md 5. */
const ENOUGH_MJ = 45
const GOOD_MJ = 90
/** Litres of net volume to a watt of lamp that are aimed at: further-schools.md 5. */
const LITRES_PER_WATT = [10, 12] as const

/** The dose of a pass by lamp and housing, and the turnovers. */
function byLamp(reading: Reading, volumeL: number, flowLPerHour: number) {
  const uvcWatts = reading.number('watts', { over: 0 })
  const gapCm = reading.number('gap', { over: 0 })
  const percent = reading.number('transmission', { over: 0, most: 100 })
  if (uvcWatts === undefined || gapCm === undefined || percent === undefined) return null
  return (
    reading.ask(
      'uv.size',
      { uvcWatts, gapCm, flowLPerHour, volumeL, transmission: percent / 100 },
      { '/flowLPerHour': 'flow' },
    ) ?? null
  )
}

/** The dose of a pass from the label: rated dose × rated flow ÷ actual flow (further-schools.md 5). */
function byLabel(reading: Reading, volumeL: number, flowLPerHour: number) {
  const ratedMj = reading.number('ratedDose', { over: 0 })
  const ratedFlow = reading.number('ratedFlow', { over: 0 })
  if (ratedMj === undefined || ratedFlow === undefined) return null
  return { doseMjPerCm2: (ratedMj * ratedFlow) / flowLPerHour, turnoversPerHour: flowLPerHour / volumeL }
}

export const UV: Calculator = {
  id: 'uv',
  group: 'Equipment',
  title: 'UV: how large, how fast',
  about: 'the dose a pass gives, from the lamp or from its label, and how often all the water passes',
  fields: (values) => [
    VOLUME,
    { id: 'by', label: 'From', choices: WAYS, start: 'lamp' },
    { id: 'flow', label: 'Flow', unit: 'L/h', hint: 'measured where it comes out: a jug and a watch' },
    ...(values['by'] === 'label'
      ? [
          { id: 'ratedDose', label: 'Dose on the label', unit: 'mJ/cm²', hint: 'at the flow that stands beside it' },
          { id: 'ratedFlow', label: 'at a flow of', unit: 'L/h' },
          { id: 'lampWatts', label: 'Lamp', unit: 'W', hint: 'what it takes; may be left empty' },
        ]
      : [
          {
            id: 'watts',
            label: 'UV-C of the lamp',
            unit: 'W',
            hint: 'what it gives off, about a third of what it takes',
          },
          { id: 'gap', label: 'Water gap round the lamp', unit: 'cm' },
          { id: 'transmission', label: 'Clearness', unit: '%', start: '100' },
        ]),
  ],
  compute(reading) {
    const isLabel = reading.text('by') === 'label'
    const volumeL = reading.number('volumeL', { over: 0 })
    const flowLPerHour = reading.number('flow', { over: 0 })
    if (volumeL === undefined || flowLPerHour === undefined) return null
    const out = (isLabel ? byLabel : byLamp)(reading, volumeL, flowLPerHour)
    const lampWatts = isLabel ? reading.maybe('lampWatts', { over: 0 }) : null
    if (!out || lampWatts === undefined) return null
    return {
      lead: { what: 'a pass', value: out.doseMjPerCm2, unit: 'mJ/cm²' },
      says:
        out.doseMjPerCm2 >= GOOD_MJ
          ? 'good for dinoflagellates'
          : out.doseMjPerCm2 >= ENOUGH_MJ
            ? `enough for dinoflagellates; ${GOOD_MJ} is better`
            : `under the ${ENOUGH_MJ} that dinoflagellates ask for: slow the flow`,
      lines: [
        { what: 'turnovers', value: out.turnoversPerHour, unit: 'an hour; 1 to 3 are wanted' },
        ...(lampWatts === null
          ? []
          : [
              {
                what: 'net volume to a watt',
                value: [
                  { value: volumeL / lampWatts, unit: 'L' },
                  '; aimed at ',
                  { value: LITRES_PER_WATT[0], unit: 'L' },
                  ' to ',
                  { value: LITRES_PER_WATT[1], unit: 'L' },
                ],
              },
            ]),
      ],
      cautions: [
        'Never look at the lamp. Unplug before opening; drip loops and a residual-current device. Off while drugs are in the water.',
      ],
    }
  },
}
