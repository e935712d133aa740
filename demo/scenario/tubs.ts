import { tickId } from '../../core/arrivals/run/ticks.ts'
import type { Diary } from '../diary.ts'
import { change, every, reading, remark, series } from '../words.ts'

/** Frags on day 23 of 76 with dips against an egg-laying pest; and the two waiting for tomorrow's box. */
export function tubs(diary: Diary): void {
  frags(diary)
  sideTub(diary)
  shrimpJar(diary)
}

function frags(diary: Diary): void {
  const came = (animalId: string, species: string, group: string, count: number) =>
    diary.on(-24, '14:00', { kind: 'arrival', animalId, tankId: 'frag', species, group, count, source: 'frag swap' })
  diary.on(-24, '14:00', {
    kind: 'course-start',
    courseId: 'frags-fallow',
    definition: 'coral-76',
    tanks: { main: 'frag' },
    animalIds: [],
    options: { pest: 'none', pace: 'by-maturity', dip: 'iodine' },
    products: { 'iodine-coral': 'iodine' },
    readAt: '17:00',
  })
  came('zoas', 'zoanthid frags', 'coral-soft', 6)
  came('psammocora', 'Psammocora frags', 'coral-sps', 3)
  const coral = (
    partId: string,
    name: string,
    [animalId, group]: readonly [string, string],
    pieces: number,
    [compartment, lightShare]: readonly [string, number],
    [x, y]: readonly [number, number],
  ) =>
    diary.on(-24, '14:30', {
      kind: 'part-setup',
      partId,
      tankId: 'frag',
      what: 'coral',
      name,
      group,
      animalId,
      pieces,
      x,
      y,
      place: { compartment, flow: 'gentle', lightHours: 9, lightShare },
    })
  coral('zoa-green', 'green zoanthids', ['zoas', 'coral-soft'], 5, ['left rack, low', 0.4], [0.18, 0.66])
  coral('zoa-orange', 'orange zoanthids', ['zoas', 'coral-soft'], 1, ['left rack, low', 0.4], [0.36, 0.66])
  coral('psammo', 'Psammocora', ['psammocora', 'coral-sps'], 3, ['right rack, middle', 0.5], [0.74, 0.44])
  const done = (day: number, time: string, step: string) =>
    diary.on(day, time, {
      kind: 'task',
      taskId: `frags-fallow/${step}`,
      tankId: 'frag',
      courseId: 'frags-fallow',
      state: 'done',
    })
  done(-24, '14:40', 'step-1/0')
  for (let step = 0; step < 8; step++) done(-24 + 2 * step, '17:10', `light/${step}`)
  diary.on(-24, '14:40', remark('frag', 'plugs cut away, bases scrubbed in clean salt water, gloves and goggles on'))
  diary.on(-21, '21:40', remark('frag', 'one small frilly slug among the polyps by torch'))
  diary.on(-21, '21:45', {
    kind: 'course-change',
    courseId: 'frags-fallow',
    changes: { options: { pest: 'zoa-nudi', pace: 'by-maturity', dip: 'iodine' } },
  })
  for (const [i, [day, green, orange, eggs]] of (
    [
      [-20, 6, 3, 2],
      [-15, 3, 1, 1],
      [-10, 1, 0, 0],
      [-5, 0, 0, 0],
    ] as const
  ).entries()) {
    const occasion = { courseId: 'frags-fallow', taskId: `frags-fallow/dip/${i}` }
    diary.on(day, '17:00', {
      kind: 'bath',
      tankId: 'frag',
      animalIds: [],
      partIds: ['zoa-green', 'zoa-orange', 'psammo'],
      ...occasion,
      ingredient: 'iodine-dip',
      productId: 'iodine',
      amount: 24,
      unit: 'drop',
      massMg: 60,
      litres: 3,
      water: 'new',
      minutes: 8,
    })
    const counted = (measure: 'came-off' | 'eggs' | 'brushed', values: readonly [number, number, number]) =>
      diary.on(day, '17:20', {
        kind: 'count',
        tankId: 'frag',
        measure,
        parts: ['zoa-green', 'zoa-orange', 'psammo'].map((partId, k) => ({ partId, value: values[k]! })),
        courseId: 'frags-fallow',
        taskId: `frags-fallow/count/${i}`,
      })
    counted('came-off', [green, orange, 0])
    if (eggs > 0) counted('eggs', [eggs, 0, 0])
    counted('brushed', [1, 1, 1])
  }
  for (const [day, values] of [
    [-24, [3, 3, 3]],
    [-12, [3, 2, 4]],
    [-2, [4, 4, 4]],
  ] as const)
    diary.on(day, '18:30', {
      kind: 'count',
      tankId: 'frag',
      measure: 'survey',
      parts: ['zoa-green', 'zoa-orange', 'psammo'].map((partId, k) => ({ partId, value: values[k]! })),
    })
  for (const [i, time] of ['21:50', '21:40', '21:45'].entries())
    diary.on(-17 + 7 * i, time, {
      kind: 'count',
      tankId: 'frag',
      measure: 'pest-count',
      parts: ['zoa-green', 'zoa-orange', 'psammo'].map((partId) => ({ partId, value: 0 })),
      courseId: 'frags-fallow',
      taskId: `frags-fallow/look/${i + 1}`,
    })
  const alkalinity = [8.9, 8.8, 8.6, 8.3, 7.9, 7.5, 7.1]
  ;[-22, -19, -16, -12, -8, -4, -1].forEach((day, i) =>
    diary.on(day, '18:10', reading('frag', 'alk-kh', alkalinity[i]!)),
  )
  series(diary, 'frag', [-22, -15, -8, -1], '18:20', [
    { parameter: 'ca', from: 430, to: 405, wobble: 4 },
    { parameter: 'salinity', from: 35, to: 35, wobble: 0.3 },
    { parameter: 'temp', from: 25.4, to: 25.4, wobble: 0.3 },
  ])
  for (const day of [-14, -7]) diary.on(day, '17:45', change('frag', 5))
  for (const day of [-4, -3, -2, -1]) done(day, '18:40', `feed/${24 + day}`)
  diary.on(-1, '19:10', { kind: 'count', tankId: 'frag', measure: 'coverage', of: 'film', values: [15] })
  diary.on(-24, '13:30', { kind: 'gear-setup', gearId: 'frag-tongs', name: 'long tongs, green tape', tankId: 'frag' })
  diary.on(-24, '13:31', { kind: 'gear-setup', gearId: 'frag-siphon', name: 'thin siphon, green tape', tankId: 'frag' })
  diary.on(-3, '20:30', { kind: 'gear-clean', gearId: 'frag-siphon', how: 'bleached' })
}

function sideTub(diary: Diary): void {
  diary.on(-30, '10:20', remark('side', 'seeded sponge in, heater and air stone'))
  series(diary, 'side', every(6, -28, -2), '08:30', [{ parameter: 'tan', from: 0.8, to: 0.02, wobble: 0.03 }])
  diary.on(-2, '09:00', reading('side', 'salinity', 33))
  badge(diary, 'side', -1, '08:40')
  diary.on(-1, '08:35', reading('side', 'tan', 0.02))
  diary.on(-1, '08:42', reading('side', 'temp', 25.1))
  for (const item of ['lid', 'hides', 'filter-sponge', 'own-tools'])
    diary.on(-1, '20:10', { kind: 'task', taskId: tickId('box-tomorrow', 'side', item), tankId: 'side', state: 'done' })
  diary.on(-1, '20:00', {
    kind: 'expected',
    expectedId: 'dottyback',
    boxId: 'box-tomorrow',
    tankId: 'side',
    species: 'orchid dottyback',
    group: 'dottyback-basslet',
    count: 1,
    due: diary.at(1, '10:30'),
    hoursInTransit: 31,
    source: 'mail order',
    sizeCm: 6,
  })
}

/** The gas badge on the glass: a colour, so a range. */
function badge(diary: Diary, tankId: string, day: number, time: string): void {
  diary.on(day, time, {
    kind: 'reading',
    tankId,
    parameter: 'nh3',
    result: { kind: 'range', low: 0, high: 0.02 },
    unit: 'mg/L',
  })
}

function shrimpJar(diary: Diary): void {
  diary.on(-9, '17:20', remark('jar', 'salt water from the hall before its medicine days; never any copper'))
  diary.on(-2, '18:00', reading('jar', 'salinity', 34.5))
  diary.on(-2, '18:02', reading('jar', 'tan', 0))
  diary.on(-1, '18:05', reading('jar', 'temp', 24.8))
  for (const item of ['lid', 'own-tools', 'spare-water', 'ppe'])
    diary.on(-1, '20:12', { kind: 'task', taskId: tickId('box-tomorrow', 'jar', item), tankId: 'jar', state: 'done' })
  diary.on(-1, '20:01', {
    kind: 'expected',
    expectedId: 'sexy-shrimp',
    boxId: 'box-tomorrow',
    tankId: 'jar',
    species: 'sexy shrimp',
    group: 'shrimp',
    count: 2,
    due: diary.at(1, '10:30'),
    hoursInTransit: 31,
    source: 'mail order',
  })
}
