/** A step of taking a sample, with why; ids are those of the handbook's steps (outbreaks.md 4). */
export interface SamplingRunStep {
  id: string
  title: string
  /** What is done, one sentence a line. */
  does: readonly string[]
  why: string
  /** Seconds that are waited before the next step may begin. */
  waitSeconds?: number
  /** Stands before the step. */
  caution?: string
}

/** About five minutes of standing: outbreaks.md 4, m2. */
const SETTLE_SECONDS = 300
/** Motion is judged within that time, before the lamp's heat slows the cells: outbreaks.md 4, m5. */
export const SLIDE_SECONDS = 600

/** A sample is looked at on its day (outbreaks.md 4, m1): a run that was left for longer is of another sample. */
export const SAMPLE_HOURS = 24

/** Taking a sample for the microscope, step by step. */
export const SAMPLING_RUN: readonly SamplingRunStep[] = [
  {
    id: 'm1',
    title: 'Take the brown',
    does: [
      'Take the brown, not the red: the freshest string, the edge of a bubble, or the top millimetre of the sand.',
      'In the middle of the light period.',
      'With a pipette, 5 to 20 mL with tank water into a clear jar. Look the same day.',
    ],
    why: 'A red film of cyanobacteria hides the dinoflagellates under it, and at dawn they are gone from the strings.',
    caution:
      'Gloves and goggles: some films carry strong toxins. Nothing is drawn up by mouth, nothing brown is scrubbed dry or near hot water; hands are washed after. Pumps and lamps over the place are unplugged before a hand goes in.',
  },
  {
    id: 'm2',
    title: 'Shake, then let it settle',
    does: ['Close the jar and shake it for ten seconds.', 'Let it stand for five minutes.'],
    why: 'Shaking frees the cells from mucus and sand. Then the sand falls, and the cells stay above it.',
    waitSeconds: SETTLE_SECONDS,
  },
  {
    id: 'm3',
    title: 'Draw the light brown layer',
    does: ['With the pipette from just above the sand, not from the sand.'],
    why: 'The cells are in the light brown layer; grains of sand keep the cover slip up.',
  },
  {
    id: 'm4',
    title: 'One drop on the slide',
    does: ['One drop.', 'Lower the cover slip at an angle, so that it pushes grains aside.'],
    why: 'A grain under the cover slip cracks it.',
    caution: 'A cracked slip cuts: pick it up with tweezers. Keep the lamp’s cable and plug dry.',
  },
  {
    id: 'm5',
    title: 'Look, lowest power first',
    does: ['×4, then ×10, then ×40.', 'Dim the lamp.', 'Judge the motion at ×10 within ten minutes.'],
    why: 'The lamp warms the drop, and cells slow down in the heat: after that even a swimmer lies still.',
    waitSeconds: SLIDE_SECONDS,
  },
  {
    id: 'm6',
    title: 'Measure some cells',
    does: [
      'By an eyepiece scale or a known grid: with a ×10 objective and a ×10 eyepiece the field is about 1.8 mm wide.',
      '20 cells, their median length.',
    ],
    why: 'Two kinds of Amphidinium look the same and differ by their length alone; they want different plans.',
  },
  {
    id: 'm7',
    title: 'Record it, and take two more spots',
    does: [
      'A clip of 10 to 20 seconds at each power.',
      'Length of the cells, how they move, and the count.',
      'Three samples from different spots.',
    ],
    why: 'Cells clump: one spot may be full of them and the next empty.',
  },
]
