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
  diary.on(-97, '10:30', {
    kind: 'dose',
    tankId: 'study',
    ingredient: 'fenbendazole',
    productId: 'fenben',
    amount: 0.2,
    unit: 'g',
    massMg: 44.4,
  })
  for (const [day, alive] of [
    [-97, 10],
    [-96, 6],
    [-95, 2],
    [-94, 0],
  ] as const)
    diary.on(day, '20:30', { kind: 'count', tankId: 'study', what: 'jar', of: 'jar, alive of 10', values: [alive] })
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
      what: 'pest-count',
      of: 'planaria in the trap',
      values: [0],
    })
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

function staghorn(diary: Diary): void {
  diary.on(-6, '16:30', remark('study', 'staghorn on five leaves, A to E; C stays untreated to compare'))
  for (const day of [-6, -4, -2])
    diary.on(day, '17:30', {
      kind: 'dose',
      tankId: 'study',
      ingredient: 'peroxide',
      productId: 'peroxide3',
      amount: 2,
      unit: 'mL',
      massMg: 60.6,
      note: 'four patches, flow and top-off off 20 minutes',
    })
  for (const [day, stages] of STAGES)
    diary.on(day, '19:30', { kind: 'count', tankId: 'study', what: 'patch-stage', of: 'stages A to E', values: stages })
  diary.on(-1, '19:40', reading('study', 'no3', 14))
}
