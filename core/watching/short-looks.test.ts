import { SHORT_LOOKS } from '../catalogue/watching.data.ts'
import { SESSIONS } from '../catalogue/handbook/observing.data.ts'
import { signById } from '../catalogue/sign.ts'
import { quarantine } from '../courses/testing/schools.ts'
import { judgeBreaths, usualBreaths } from './baseline.ts'
import { dayOfLooks, lookById, shortLookContent, WATCH_MINUTES } from './short-looks.ts'

test('the short looks are the handbook’s, of half an hour together, and each sign is one of the catalogue', () => {
  expect(SHORT_LOOKS.map(({ id, minutes }) => [id, String(minutes)])).toEqual(
    SESSIONS.rows.map(({ id, minutes }) => [id, minutes]),
  )
  expect(SHORT_LOOKS.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(WATCH_MINUTES)
  for (const { signs } of SHORT_LOOKS) for (const sign of signs) expect(signById(sign)).toBeDefined()
})

describe('a day of looks', () => {
  const looked = (...sessions: (string | null)[]) =>
    dayOfLooks(sessions.map((session, i) => ({ at: i, session, minutes: session ? lookById(session)!.minutes : 30 })))

  test('the next follows the last that was done; what was left out comes at the end', () => {
    expect(looked().next!.id).toBe('obs-dark')
    expect(looked('obs-lights-on').next!.id).toBe('obs-feeding')
    expect(looked('obs-lights-on', 'obs-feeding', 'obs-distance', 'obs-evening').next!.id).toBe('obs-dark')
    expect(looked('obs-dark', 'obs-feeding').minutes).toBe(13)
  })

  test('all five are the half hour, and so is one look without a name', () => {
    expect(looked(...SHORT_LOOKS.map(({ id }) => id))).toMatchObject({ minutes: 30, next: null })
    expect(looked(null)).toMatchObject({ minutes: 30, next: null })
  })
})

describe('a short look as it is kept', () => {
  const kept = (id: string, answer: Partial<Parameters<typeof shortLookContent>[1]> = {}) =>
    shortLookContent(
      lookById(id)!,
      { present: [], breathsPerMinute: null, appetite: null, faeces: null, flashes: null, ...answer },
      { at: 0, tankId: 'quar', animalIds: ['cobalt'], courseId: 'c' },
    )

  test('what was not ticked was looked for and not seen', () => {
    expect(kept('obs-evening', { present: ['chased'] }).signs).toEqual([
      { sign: 'breathing-fast', present: false },
      { sign: 'chased', present: true },
      { sign: 'lethargic-bottom', present: false },
      { sign: 'surface-gasping', present: false },
    ])
    expect(kept('obs-evening')).toMatchObject({ session: 'obs-evening', minutes: 5 })
  })

  test('two scrapes in five minutes are the sign, one is not; ignoring food and stringy faeces are signs', () => {
    const present = (content: ReturnType<typeof kept>) =>
      content.signs.filter((one) => one.present).map(({ sign }) => sign)
    expect(present(kept('obs-distance', { flashes: 1 }))).toEqual([])
    expect(present(kept('obs-distance', { flashes: 2 }))).toEqual(['flashing'])
    expect(present(kept('obs-feeding', { appetite: 0, faeces: 'stringy' }))).toEqual([
      'faeces-white-stringy',
      'not-eating',
    ])
  })
})

describe('the task of watching', () => {
  test('short looks take their minutes off it, and the fifth ends it', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const look = (time: string, session: string) => it.look(0, time, { session, minutes: lookById(session)!.minutes })
    look('08:10', 'obs-lights-on')
    look('09:00', 'obs-feeding')
    const [task] = it.plan(0, '10:00').tasks.filter(({ step }) => step === 'look')
    expect(task).toMatchObject({ title: 'Watch 17 min more', why: 'next: from two metres, 7 min' })
    look('12:00', 'obs-distance')
    look('20:00', 'obs-evening')
    look('20:30', 'obs-dark')
    expect(it.tasks(0, '21:00', 'look').map(({ window }) => window[1])[0]).toBe('1 19:00')
  })
})

describe('breathing beside the usual', () => {
  test('three counts make a baseline; two do not', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const count = (day: number, breathsPerMinute: number) => it.look(day, '08:00', { breathsPerMinute })
    count(0, 60)
    count(1, 70)
    expect(usualBreaths(it.journal, ['cobalt'], it.ms(2, '00:00'))).toBeNull()
    count(2, 62)
    expect(usualBreaths(it.journal, ['cobalt'], it.ms(3, '00:00'))).toBe(62)
    expect(usualBreaths(it.journal, ['somebody else'], it.ms(3, '00:00'))).toBeNull()
  })

  test.each([
    [62, 60, 'calm'],
    [79, 60, 'warn'],
    [97, 60, 'alarm'],
    [85, 80, 'warn'],
    [121, 110, 'alarm'],
    [75, null, 'calm'],
  ] as const)('%i beside %s: %s', (perMinute, usual, tone) => {
    expect(judgeBreaths(perMinute, usual).tone).toBe(tone)
  })
})
