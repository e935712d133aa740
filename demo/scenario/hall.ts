import type { Diary } from '../diary.ts'
import { change, every, fed, reading, remark, saw, series } from '../words.ts'
import { FIRST_DAY } from './house.ts'

/** First and last whole day of the finished count without fish. */
const FALLOW_FROM = -118
const FALLOW_TO = FALLOW_FROM + 77

/** The reef in the hall: a finished fallow, quiet weeks, then brown strings on the sand. */
export function hallReef(diary: Diary): void {
  arrivals(diary)
  fallow(diary)
  quietWeeks(diary)
  dinoflagellates(diary)
}

function arrivals(diary: Diary): void {
  const came = (animalId: string, species: string, group: string, name?: string, count = 1) =>
    diary.on(FIRST_DAY, '11:00', {
      kind: 'arrival',
      animalId,
      tankId: 'hall',
      species,
      group,
      count,
      ...(name && { name }),
    })
  came('plum', 'royal gramma', 'dottyback-basslet', 'Plum')
  came('saffron', 'yellow assessor', 'dottyback-basslet', 'Saffron')
  came('flint', 'flame angelfish', 'angel-dwarf', 'Flint')
  came('button', 'tuxedo urchin', 'star-urchin', 'Button')
  came('torches', 'torch coral heads', 'coral-lps', undefined, 4)
  came('toadstool', 'toadstool leather', 'coral-soft')
  came('montis', 'Montipora plates', 'coral-sps', undefined, 3)
  came('gsp', 'green star polyps', 'coral-soft')
  came('acans', 'Micromussa colonies', 'coral-lps', undefined, 2)
}

/** Flint showed fine dust and died; the fish were taken out and the display stood without them for 76 days. */
function fallow(diary: Diary): void {
  diary.on(
    -120,
    '21:10',
    saw('hall', ['flint'], 'breathing fast, hangs in the pump stream', 'breathing-fast', 'into-flow'),
  )
  diary.on(
    -119,
    '07:20',
    saw('hall', ['flint'], 'dust on the flanks by torch, not eating', 'fine-dust-sheen', 'not-eating'),
  )
  diary.on(-119, '07:50', { kind: 'move', animalId: 'flint', fromTankId: 'hall', toTankId: 'quar' })
  for (const animalId of ['plum', 'saffron'])
    diary.on(FALLOW_FROM, '19:00', { kind: 'move', animalId, fromTankId: 'hall', toTankId: 'quar' })
  diary.on(FALLOW_FROM, '19:20', {
    kind: 'course-start',
    courseId: 'hall-fallow',
    definition: 'fallow-76',
    tanks: { main: 'hall' },
    animalIds: [],
    readAt: '18:30',
  })
  diary.on(-116, '06:40', { kind: 'death', animalId: 'flint', tankId: 'quar', cause: 'velvet, most likely' })
  for (const day of every(9, FALLOW_FROM + 4, FALLOW_TO - 4))
    diary.on(day, '18:30', remark('hall', 'ghost feeding for the bacteria, a pinch'))
  diary.on(FALLOW_TO, '19:20', { kind: 'course-end', courseId: 'hall-fallow', outcome: 'finished' })
  for (const animalId of ['plum', 'saffron'])
    diary.on(FALLOW_TO, '19:30', { kind: 'move', animalId, fromTankId: 'quar', toTankId: 'hall' })
  diary.on(FALLOW_TO, '20:15', fed('hall', ['plum', 'saffron'], 'both ate within the hour', 4))
  diary.on(FALLOW_TO + 3, '18:40', reading('hall', 'tan', 0.1))
}

function quietWeeks(diary: Diary): void {
  const weekly = every(7, -119, -9)
  series(diary, 'hall', weekly, '19:40', [
    { parameter: 'no3', from: 9, to: 0.6, wobble: 0.5 },
    { parameter: 'po4', from: 0.07, to: 0.01, wobble: 0.008 },
    { parameter: 'alk-kh', from: 8.4, to: 8.1, wobble: 0.2 },
  ])
  series(diary, 'hall', every(14, -119, -9), '19:45', [
    { parameter: 'ca', from: 425, to: 430, wobble: 6 },
    { parameter: 'mg', from: 1320, to: 1310, wobble: 15 },
    { parameter: 'salinity', from: 35, to: 35, wobble: 0.3 },
    { parameter: 'temp', from: 25.6, to: 25.2, wobble: 0.3 },
  ])
  for (const day of every(14, -112, -10)) diary.on(day, '17:30', change('hall', 35))
  labResult(diary)
  for (const day of every(11, -40, -3)) diary.on(day, '18:50', fed('hall', ['plum', 'saffron'], 'both ate'))
}

/** A lab's analysis, mg/L: nutrients and iodine low, everything else a little off sea water. */
const LAB_MG_PER_L: readonly [element: string, mgPerL: number][] = [
  ['cl', 19_600],
  ['na', 10_900],
  ['s', 905],
  ['mg', 1305],
  ['ca', 434],
  ['k', 377],
  ['br', 64],
  ['sr', 8.4],
  ['b', 4.1],
  ['f', 1.1],
  ['li', 0.21],
  ['i', 0.034],
  ['ba', 0.012],
  ['mo', 0.009],
  ['mn', 0.0006],
  ['fe', 0.0011],
  ['zn', 0.004],
  ['cu', 0.0009],
  ['ni', 0.0021],
  ['v', 0.0016],
  ['al', 0.014],
  ['p', 0.006],
  ['si', 0.09],
]
const LAB_DAY = -19

function labResult(diary: Diary): void {
  diary.on(LAB_DAY, '09:00', {
    kind: 'lab-result',
    tankId: 'hall',
    sample: 'Hall reef, November',
    results: [
      ...LAB_MG_PER_L.map(([element, mgPerL]) => ({ element, mgPerL })),
      ...['sn', 'pb', 'hg', 'cd'].map((element) => ({ element })),
    ],
  })
  for (const [parameter, mgPerL] of [
    ['k', 377],
    ['ca', 434],
    ['mg', 1305],
  ] as const)
    diary.on(LAB_DAY, '09:00', { ...reading('hall', parameter, mgPerL), uncertainty: 0.05 * mgPerL, origin: 'lab' })
}

/** Five tallies by microscope, three spots each: diatoms, dinoflagellates, others, fields; and lengths of the first, µm. */
const TALLIES: [day: number, ...spots: [number, number, number, number][]][] = [
  [-8, [6, 38, 2, 3], [8, 33, 1, 3], [7, 31, 0, 3]],
  [-6, [10, 29, 1, 3], [9, 25, 2, 3], [10, 27, 1, 3]],
  [-4, [13, 27, 0, 3], [14, 24, 2, 4], [11, 26, 1, 3]],
  [-2, [18, 22, 1, 3], [17, 25, 0, 4], [16, 22, 2, 4]],
  [-1, [19, 20, 2, 4], [17, 22, 1, 4], [19, 19, 1, 4]],
]
const LENGTHS_UM = [41, 38, 44, 40, 36, 43, 39, 42, 37, 45, 40, 41, 38, 39, 43, 42, 40, 37, 44, 41]

/** How much of the sand was covered at two in the afternoon, %, from the first day of the UV on. */
const COVERAGE = [34, 36, 31, 29, 24, 22]

/** The UV course, six days in: blown off twice a day, floss out, covered sand estimated at the same hour. */
function uvCourse(diary: Diary): void {
  const courseId = 'hall-uv'
  diary.on(UV_DAY, '10:50', {
    kind: 'course-start',
    courseId,
    definition: 'dino-uv',
    tanks: { main: 'hall' },
    animalIds: [],
    caseId: 'brown-strings',
    readAt: '14:00',
  })
  const done = (day: number, time: string, step: string, ordinal: number) =>
    diary.on(day, time, {
      kind: 'task',
      taskId: `${courseId}/${step}/${ordinal}`,
      tankId: 'hall',
      courseId,
      state: 'done',
    })
  done(UV_DAY, '11:00', 'step-1-out', 0)
  diary.on(UV_DAY, '11:10', remark('hall', 'UV on, display to display; floss daily'))
  done(UV_DAY, '11:11', 'step-2', 0)
  COVERAGE.forEach((value, i) => {
    const day = UV_DAY + i
    diary.on(day, '14:05', { kind: 'count', tankId: 'hall', measure: 'coverage', values: [value], courseId })
    diary.on(day, '11:30', remark('hall', 'blew off rock and sand, pump to the floss'))
    done(day, '11:31', 'step-3', i)
    done(day, '21:31', 'step-3-evening', i)
  })
}
const UV_DAY = -6

function dinoflagellates(diary: Diary): void {
  diary.on(-8, '13:10', remark('hall', 'brown strings with bubbles on the sand, gone by morning, back by noon'))
  diary.on(-8, '15:30', remark('hall', 'microscope: ovals with a notch, no groove, slow: Prorocentrum'))
  for (const [day, ...spots] of TALLIES)
    diary.on(day, '15:40', {
      kind: 'tally',
      tankId: 'hall',
      caseId: 'brown-strings',
      objective: 10,
      spots: spots.map(([diatoms, dinos, other, fields]) => ({ diatoms, dinos, other, fields })),
      ...(day === TALLIES[0]![0] && { lengthsUm: LENGTHS_UM }),
    })
  diary.on(-7, '18:30', { kind: 'move', animalId: 'button', fromTankId: 'hall', toTankId: 'bucket' })
  uvCourse(diary)
  const nitrate = [0.4, 0.8, 1.2, 1.9, 2.6, 3.1]
  const phosphate = [0.01, 0.01, 0.02, 0.02, 0.03, 0.03]
  every(1, -6, -1).forEach((day, i) => {
    diary.on(day, '19:10', reading('hall', 'no3', nitrate[i]!))
    diary.on(day, '19:15', reading('hall', 'po4', phosphate[i]!))
    diary.on(day, '19:30', {
      kind: 'dose',
      tankId: 'hall',
      ingredient: 'potassium-nitrate',
      productId: 'nitrate',
      amount: 35,
      unit: 'mL',
      massMg: 350,
    })
    diary.on(day, '19:32', {
      kind: 'dose',
      tankId: 'hall',
      ingredient: 'monopotassium-phosphate',
      productId: 'phosphate',
      amount: 7,
      unit: 'mL',
      massMg: 7,
    })
  })
  diary.on(-3, '18:20', fed('bucket', ['button'], 'Button on nori'))
  diary.on(-1, '18:20', change('bucket', 6))
}
