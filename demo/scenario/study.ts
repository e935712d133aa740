import type { Diary } from '../diary.ts'
import { change, every, fed, reading, remark, series } from '../words.ts'
import { FIRST_DAY } from './house.ts'

/** The planted tank: a planaria course long closed, and now staghorn algae with a leaf left untreated. */
export function studyPlanted(diary: Diary): void {
  const came = (animalId: string, species: string, group: string, count: number, name?: string) =>
    diary.on(FIRST_DAY, '11:20', {
      kind: 'arrival',
      animalId,
      tankId: 'study',
      species,
      group,
      count,
      ...(name && { name }),
    })
  came('tetras', 'ember tetras', 'fw-scaleless', 10)
  came('honey', 'honey gourami', 'fw-labyrinth', 1, 'Honey')
  came('algae-shrimp', 'algae shrimp', 'fw-shrimp', 6)
  planaria(diary)
  weeks(diary)
  staghorn(diary)
}

function planaria(diary: Diary): void {
  diary.on(-98, '22:10', remark('study', 'arrow heads on the glass by torch; 14 in the trap by morning'))
  diary.on(-97, '10:00', remark('study', 'shrimp out to a bowl of their own, carbon out, air up'))
  const courseId = 'study-planaria'
  diary.on(-97, '10:20', {
    kind: 'course-start',
    courseId,
    definition: 'planaria-fenbendazole',
    tanks: { main: 'study' },
    animalIds: [],
    options: { dose: 'low', redose: 'replaced' },
    products: { fenbendazole: 'fenben' },
    caseId: 'arrow-heads',
  })
  diary.on(-97, '10:30', {
    kind: 'dose',
    tankId: 'study',
    ingredient: 'fenbendazole',
    productId: 'fenben',
    amount: 0.2,
    unit: 'g',
    massMg: 44.4,
  })
  // Half a day and more after a dose each time: worms lie still and revive.
  for (const [day, time, alive] of [
    [-96, '10:40', 6],
    [-95, '10:40', 2],
    [-94, '10:40', 0],
  ] as const)
    diary.on(day, time, {
      kind: 'count',
      tankId: 'study',
      measure: 'alive',
      of: 'jar, alive of 10',
      values: [alive],
      courseId,
    })
  diary.on(-96, '11:00', change('study', 40))
  diary.on(-96, '11:30', {
    kind: 'dose',
    tankId: 'study',
    ingredient: 'fenbendazole',
    productId: 'fenben',
    amount: 0.1,
    unit: 'g',
    massMg: 22.2,
  })
  diary.on(-93, '11:00', change('study', 40))
  diary.on(-93, '17:00', change('study', 40))
  for (const day of [-83, -69])
    diary.on(day, '07:30', {
      kind: 'count',
      tankId: 'study',
      measure: 'pest-count',
      of: 'planaria in the trap',
      values: [0],
      courseId,
    })
  diary.on(-68, '18:00', { kind: 'course-end', courseId, outcome: 'finished' })
  diary.on(
    -68,
    '18:10',
    remark('study', 'jar dead six hours, traps empty at day 14 and 28: closed; shrimp back after three large changes'),
  )
}

function weeks(diary: Diary): void {
  const weekly = every(7, -117, -5)
  series(diary, 'study', weekly, '20:00', [
    { parameter: 'no3', from: 12, to: 15, wobble: 3 },
    { parameter: 'po4', from: 0.8, to: 1, wobble: 0.2 },
  ])
  series(diary, 'study', every(21, -117, -5), '20:05', [
    { parameter: 'gh', from: 6, to: 6, wobble: 0.5 },
    { parameter: 'alk-kh', from: 3, to: 3, wobble: 0.4 },
    { parameter: 'temp', from: 24.5, to: 24, wobble: 0.4 },
  ])
  for (const day of every(7, -114, -2)) if (day < -99 || day > -90) diary.on(day, '17:00', change('study', 25))
  diary.on(-51, '08:00', { kind: 'death', animalId: 'tetras', tankId: 'study', count: 1, cause: 'found on the floor' })
  for (const day of every(13, -60, -2)) diary.on(day, '19:00', fed('study', ['honey', 'tetras'], 'all ate'))
}

/** Stages 0 to 5 of patches A to E; on alternate days, because of the shrimp. Leaf C stays untreated. */
const STAGES: [day: number, stages: number[]][] = [
  [-5, [0, 0, 0, 0, 0]],
  [-4, [0, 1, 0, 0, 1]],
  [-3, [1, 2, 0, 1, 2]],
  [-2, [2, 2, 0, 2, 3]],
  [-1, [2, 3, 0, 3, 4]],
]

/** The patches as they are numbered; leaf C stays untreated. */
const PATCHES = [
  { partId: 'A', name: 'A, fern left', control: false },
  { partId: 'B', name: 'B, fern tips', control: false },
  { partId: 'C', name: 'C, fern right', control: true },
  { partId: 'D', name: 'D, wood', control: false },
  { partId: 'E', name: 'E, stem plant', control: false },
]

function staghorn(diary: Diary): void {
  for (const { control, ...part } of PATCHES)
    diary.on(-6, '16:30', {
      kind: 'part-setup',
      tankId: 'study',
      what: 'patch',
      ...part,
      ...(control && { control }),
    })
  diary.on(-6, '17:00', {
    kind: 'course-start',
    courseId: 'staghorn',
    definition: 'peroxide-spot',
    tanks: { main: 'study' },
    animalIds: [],
    partIds: PATCHES.map(({ partId }) => partId),
    options: { tier: 'animals-in' },
    products: { 'peroxide-spot': 'peroxide3' },
    readAt: '17:30',
  })
  diary.on(-6, '17:05', {
    kind: 'task',
    taskId: 'staghorn/step-1/0',
    tankId: 'study',
    courseId: 'staghorn',
    state: 'done',
  })
  ;[-6, -4, -2].forEach((day, i) =>
    diary.on(day, '17:30', {
      kind: 'dose',
      tankId: 'study',
      ingredient: 'peroxide',
      productId: 'peroxide3',
      amount: 2,
      unit: 'mL',
      massMg: 60.6,
      courseId: 'staghorn',
      taskId: `staghorn/step-2/${i}`,
      note: 'four patches, flow and top-off off 20 minutes',
    }),
  )
  STAGES.forEach(([day, stages], i) =>
    diary.on(day, '19:30', {
      kind: 'count',
      tankId: 'study',
      measure: 'patch-stage',
      parts: PATCHES.map(({ partId }, j) => ({ partId, value: stages[j]! })),
      courseId: 'staghorn',
      taskId: `staghorn/step-3/${i}`,
    }),
  )
  diary.on(-1, '19:40', reading('study', 'no3', 14))
}
