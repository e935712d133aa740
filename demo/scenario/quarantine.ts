import type { ContentOf } from '../../core/journal/entry.ts'
import type { Diary } from '../diary.ts'
import { change, every, fed, reading, remark, saw, series } from '../words.ts'

/** The bare box: two fish out of the display during its fallow, then a hawkfish and a filefish under copper. */
export function quarantine(diary: Diary): void {
  boarders(diary)
  newcomers(diary)
  copper(diary)
}

/** Plum and Saffron waited here, 30 days of copper and then plain water. */
function boarders(diary: Diary): void {
  const dose = (day: number, time: string, amount: number) =>
    diary.on(day, time, {
      kind: 'dose',
      tankId: 'quar',
      ingredient: 'cu-chelated',
      productId: 'copper',
      amount,
      unit: 'mL',
      massMg: amount * 10,
    })
  dose(-118, '20:00', 6.5)
  dose(-117, '20:00', 3.2)
  dose(-116, '20:00', 3.2)
  dose(-115, '20:00', 1.6)
  series(diary, 'quar', every(2, -114, -86), '08:05', [{ parameter: 'copper', from: 2.27, to: 2.22, wobble: 0.06 }])
  for (const day of every(7, -112, -86)) {
    diary.on(day, '18:00', change('quar', 10))
    dose(day, '18:00', 2.3)
  }
  diary.on(-85, '10:00', { kind: 'equipment', tankId: 'quar', item: 'carbon', running: true })
  for (const day of [-85, -82, -79]) diary.on(day, '17:30', change('quar', 30))
  diary.on(-78, '18:00', { kind: 'equipment', tankId: 'quar', item: 'carbon', running: false, removed: true })
  series(diary, 'quar', every(5, -117, -44), '08:10', [{ parameter: 'tan', from: 0.2, to: 0.05, wobble: 0.08 }])
  for (const day of every(4, -115, -44)) diary.on(day, '18:45', fed('quar', ['plum', 'saffron'], 'both ate'))
  diary.on(-42, '20:40', remark('quar', 'emptied, bleached, dried for two days; new salt water'))
  diary.on(-12, '11:00', change('quar', 60))
}

function newcomers(diary: Diary): void {
  acrossByScoops(diary)
  diary.on(-11, '20:30', saw('quar', ['needle', 'burr'], 'both hiding, breathing calm', 'hides-corner'))
  diary.on(-10, '08:20', fed('quar', ['needle'], 'Needle ate'))
  diary.on(-10, '08:25', fed('quar', ['burr'], 'Burr looked at food', 1))
  diary.on(-9, '18:30', fed('quar', ['needle', 'burr'], 'both ate'))
  diary.on(-8, '21:00', saw('quar', ['burr'], 'scratching twice in five minutes', 'flashing'))
  for (const day of [-7, -6, -4, -3, -2])
    diary.on(day, '18:40', fed('quar', ['needle', 'burr'], 'both ate, watched 30 minutes'))
  diary.on(-1, '18:40', fed('quar', ['needle', 'burr'], 'both ate all, clear', 4))
  diary.on(0, '07:40', fed('quar', ['needle', 'burr'], 'watched 15 minutes, both ate, Burr clear'))
}

const NEWCOMERS = [
  { animalId: 'needle', name: 'Needle', species: 'longnose hawkfish', group: 'hawkfish', count: 1 },
  { animalId: 'burr', name: 'Burr', species: 'matted filefish', group: 'filefish', count: 1 },
] as const
const RUN = 'quar-november'
const SCOOP_L = 0.1
const SCOOPS = ['12:00', '12:05', '12:10', '12:15', '12:20', '12:25']

/** Needle and Burr out of their bags, eleven days ago, scoop by scoop; a test plays it again with the core. */
function acrossByScoops(diary: Diary): void {
  diary.on(-11, '11:20', {
    ...saw('quar', ['burr'], 'looked over in the bag', 'fins-ragged'),
    breathsPerMinute: 74,
  })
  diary.on(-11, '11:30', {
    kind: 'acclimation-start',
    runId: RUN,
    tankId: 'quar',
    animals: [...NEWCOMERS],
    way: 'scoop',
    method: { kind: 'scoop', scoopL: SCOOP_L, everyMinutes: 5 },
    setting: {
      bag: { volumeL: 2.8, temperatureC: 22.5, salinityPsu: 31.8, pH: 7.3, alkalinityDkh: 7, tanMgPerL: 0.8 },
      tank: { temperatureC: 25.2, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8, tanMgPerL: 0 },
      container: { capacityL: 8, leaveL: 4 },
      room: { temperatureC: 23 },
      float: { minutes: 25 },
    },
    limits: { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
    shippingHours: 19,
    source: 'mail order',
    assumed: ['needle.alkalinityDkh', 'tank.pH'],
  })
  const event = (time: string, content: Omit<ContentOf<'acclimation-event'>, 'kind' | 'happened' | 'runId'>) =>
    diary.on(-11, time, { kind: 'acclimation-event', runId: RUN, ...content })
  event('11:55', { event: 'opened' })
  for (const time of SCOOPS) event(time, { event: 'scoop', litres: SCOOP_L })
  event('12:26', { event: 'measured', salinityPsu: 32.1, temperatureC: 24.4 })
  for (const animal of NEWCOMERS)
    diary.on(-11, '12:30', {
      kind: 'arrival',
      ...animal,
      tankId: 'quar',
      source: 'mail order',
      hoursInTransit: 19,
      runId: RUN,
    })
  diary.on(-11, '12:30', { kind: 'acclimation-end', runId: RUN, tankId: 'quar', outcome: 'released', measured: true })
  for (const [day, food, mark] of [
    [-4, 'mysis', 2],
    [-3, 'mysis', 3],
    [-2, 'mysis', 4],
    [-1, 'krill', 1],
  ] as const)
    diary.on(day, '18:50', { kind: 'training', tankId: 'quar', animalIds: ['needle'], food, mark, place: 'food clip' })
}

/** mL of the bottle of 10 mg/mL; net volume 64.75 L. */
function copper(diary: Diary): void {
  diary.on(-10, '17:50', {
    kind: 'course-start',
    courseId: 'copper-quar',
    tankId: 'quar',
    protocol: 'qt-b-drug14',
    doseId: 'cu-chelated-std',
    animalIds: ['needle', 'burr'],
    productId: 'copper',
    kitId: 'kit-cu',
    rampHours: 24,
    readAt: '08:00',
    moveToTankId: 'side',
  })
  const dose = (day: number, time: string, amount: number) =>
    diary.on(day, time, {
      kind: 'dose',
      tankId: 'quar',
      ingredient: 'cu-chelated',
      productId: 'copper',
      amount,
      unit: 'mL',
      massMg: amount * 10,
    })
  const read = (day: number, time: string, value: number) =>
    diary.on(day, time, { ...reading('quar', 'copper', value), kitId: 'kit-cu' })
  dose(-10, '18:00', 6.5)
  read(-9, '08:05', 0.99)
  dose(-9, '18:00', 3.2)
  read(-8, '08:00', 1.47)
  dose(-8, '12:00', 3.4)
  read(-8, '20:00', 2.02)
  read(-7, '08:10', 2.01)
  dose(-7, '08:30', 1.6)
  read(-7, '20:05', 2.24)
  read(-6, '08:05', 2.21)
  read(-5, '08:10', 2.17)
  // Thought to be 8 L and redosed for 8 L; counting the buckets the next morning it had been 20.
  const miscounted = diary.on(-5, '10:00', change('quar', 8))
  dose(-5, '10:00', 1.8)
  read(-5, '23:10', 1.78)
  dose(-5, '23:30', 3.1)
  diary.correct(
    miscounted,
    -4,
    '07:55',
    (content) => ({ ...content, litres: 20, note: 'five buckets, not two' }) as typeof content,
  )
  read(-4, '08:00', 2.22)
  read(-3, '08:10', 2.17)
  read(-2, '08:00', 2.12)
  diary.on(-2, '18:00', change('quar', 12))
  dose(-2, '18:00', 3.3)
  read(-1, '08:10', 2.19)
  for (const [day, value] of [
    [-10, 0.1],
    [-7, 0.2],
    [-5, 0.4],
    [-3, 0.3],
    [-1, 0.2],
  ] as const)
    diary.on(day, '08:15', { ...reading('quar', 'tan', value), kitId: 'kit-tan-quar' })
  for (const day of [-11, -6, -1]) diary.on(day, '08:20', reading('quar', 'temp', 25.3 + 0.2 * diary.wobble()))
  for (const day of [-11, -4]) diary.on(day, '08:22', reading('quar', 'salinity', 33 + 0.2 * diary.wobble()))
}
