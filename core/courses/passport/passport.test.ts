import type { Content, ContentOf } from '../../journal/entry.ts'
import { METRIC } from '../../household/settings.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { zoneClock } from '../../time/zone.ts'
import { liveCourse } from '../../testing/keeper/life.ts'
import { concernsOf } from '../../safety/concerns.ts'
import { partById } from '../../household/parts.ts'
import { passportOf, passportOfPart, tankProofOf } from './passport.ts'
import { passportWords, tankProofWords } from './passport-words.ts'

const DAY = 86_400_000
const ORIGIN = Date.parse('2026-11-01T00:00:00Z')
const clock = zoneClock('UTC')
/** A day from the first of November 2026, at noon unless another hour is given. */
const ms = (day: number, hour = 12) => ORIGIN + day * DAY + hour * 3_600_000
const at = (day: number, hour?: number) => ({ happened: new Date(ms(day, hour)).toISOString() })

type Role = ContentOf<'tank-setup'>['role']

/** A display with its fish, a quarantine, an observation tank and a frag tub; what happens is written in day order. */
function house(...lines: readonly Content[]) {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  const write = (...contents: readonly Content[]) => {
    for (const content of contents) journal.add([record(content)])
  }
  write({ kind: 'household', ...at(-400), timeZone: 'UTC', units: METRIC })
  for (const [tankId, role] of [
    ['reef', 'display'],
    ['quar', 'quarantine'],
    ['obs', 'quarantine'],
    ['frag', 'frag'],
  ] as const satisfies readonly (readonly [string, Role])[])
    write({
      kind: 'tank-setup',
      ...at(-400),
      tankId,
      name: tankId,
      water: 'marine',
      role,
      sheet: { shape: { kind: 'known', litres: 60 } },
    })
  write(...lines)
  return {
    journal,
    write,
    passport: (id: string, day: number) => passportOf(journal, id, ms(day))!,
    words: (id: string, day: number) => passportWords(passportOf(journal, id, ms(day))!, clock),
    proof: (tankId: string, day: number) => tankProofOf(journal, tankId, ms(day)),
    /** What the door says of a move or an arrival: rule and severity, and every reason. */
    door: (content: Content) => {
      const asked = concernsOf(journal, content, { now: Date.parse(content.happened) }).filter(({ rule }) =>
        ['unproven', 'fish-in-fallow', 'coral-early', 'treated-to-display', 'new-fish', 'new-wet-item'].includes(rule),
      )
      return {
        rules: asked.map(({ rule, severity }) => `${severity} ${rule}`),
        reason: asked.map(({ what, reason }) => `${what}: ${reason}`).join(' '),
      }
    },
  }
}

const comes = (animalId: string, tankId: string, day: number, group = 'clownfish'): Content => ({
  kind: 'arrival',
  ...at(day),
  animalId,
  tankId,
  name: animalId,
  species: animalId,
  group,
  count: 1,
})
const moves = (animalId: string, fromTankId: string, toTankId: string, day: number): ContentOf<'move'> => ({
  kind: 'move',
  ...at(day),
  animalId,
  fromTankId,
  toTankId,
})
const starts = (
  courseId: string,
  definition: string,
  tankId: string,
  day: number,
  animalIds: string[] = [],
): Content => ({
  kind: 'course-start',
  ...at(day),
  courseId,
  definition,
  tanks: { main: tankId },
  animalIds,
})
const ends = (courseId: string, day: number, outcome: 'finished' | 'stopped' = 'finished'): Content => ({
  kind: 'course-end',
  ...at(day),
  courseId,
  outcome,
})
const touched = (tankId: string, day: number, what: ContentOf<'contact'>['what'] = 'suspect'): Content => ({
  kind: 'contact',
  ...at(day),
  tankId,
  what,
})

/** The display’s fish left on day 0; day 77 is the first on which its 76 days are full. */
const fallow = (...more: readonly Content[]) =>
  house(comes('old', 'reef', -300), starts('f', 'fallow-76', 'reef', 0), moves('old', 'reef', 'quar', 0), ...more)

describe('the passport of a coral', () => {
  test('its days begin with the midnight after it came, and with each suspicion again', () => {
    const it = house(comes('frag', 'frag', 0, 'coral-sps'), starts('c', 'coral-76', 'frag', 0))
    expect(it.passport('frag', 37)).toMatchObject({
      state: 'counting',
      days: { has: 36, needs: 76 },
      clearAt: ms(77, 0),
    })
    expect(it.passport('frag', 77)).toMatchObject({ state: 'proven', provenAt: ms(77, 0) })
    it.write(touched('frag', 40))
    expect(it.passport('frag', 77)).toMatchObject({
      state: 'counting',
      days: { has: 36, needs: 76 },
      exposed: { why: 'contact', what: 'suspect' },
    })
    expect(it.words('frag', 77)).toBe('day 36 of 76 without fish, clean from 26 February 2027')
  })

  test('another coral from outside sets it back, one whose own days are full does not', () => {
    const it = house(comes('frag', 'frag', 0, 'coral-sps'), comes('late', 'frag', 20, 'coral-soft'))
    expect(it.passport('frag', 37).days).toEqual({ has: 16, needs: 76 })
    const other = house(
      comes('frag', 'frag', 0, 'coral-sps'),
      comes('long', 'obs', -100, 'coral-soft'),
      moves('long', 'obs', 'frag', 20),
    )
    expect(other.passport('frag', 37).days).toEqual({ has: 36, needs: 76 })
  })

  test('with fish in its water no day is counted; the chosen length of its course holds', () => {
    const it = house(comes('frag', 'reef', 0, 'coral-sps'), comes('old', 'reef', -300))
    expect(it.passport('frag', 200)).toMatchObject({ state: 'unproven', days: { has: 0, needs: 76 } })
    const short = house(comes('frag', 'frag', 0, 'coral-sps'), starts('c', 'coral-45', 'frag', 0))
    expect(short.passport('frag', 46)).toMatchObject({ state: 'proven', days: { has: 45, needs: 45 } })
  })

  test('a piece of a colony carries the days of the colony', () => {
    const it = house({ ...comes('zoa', 'frag', 0, 'coral-soft'), count: 4 } as Content)
    it.write({ ...moves('zoa', 'frag', 'obs', 30), count: 1, newAnimalId: 'piece' })
    expect(it.passport('piece', 37).days).toEqual({ has: 36, needs: 76 })
    expect(it.passport('piece', 37).waters.map(({ tankId }) => tankId)).toEqual(['frag', 'obs'])
  })

  test('a rock has the days of its water', () => {
    const it = fallow({ kind: 'part-setup', ...at(0), partId: 'rock', tankId: 'reef', what: 'rock', name: 'arch' })
    expect(passportOfPart(it.journal, partById(it.journal, 'rock')!, ms(20))).toMatchObject({
      kind: 'other',
      label: 'arch',
      days: { has: 19, needs: 76 },
    })
  })
})

describe('the passport of a fish', () => {
  const schooled = (...more: readonly Content[]) =>
    house(
      comes('dot', 'quar', 0),
      comes('mate', 'quar', 0),
      starts('q', 'qt-f-observe', 'quar', 0, ['dot', 'mate']),
      ...more,
    )

  test('counting while its quarantine runs, proven by its end, and not by one that was stopped', () => {
    expect(schooled().passport('dot', 20)).toMatchObject({ state: 'counting', course: { id: 'q' } })
    expect(schooled(ends('q', 30)).passport('dot', 40)).toMatchObject({ state: 'proven', provenAt: ms(30) })
    expect(schooled(ends('q', 30, 'stopped')).words('dot', 40)).toBe('no finished quarantine on record')
  })

  test('a fish from outside in the same water takes the proof away', () => {
    const it = schooled(ends('q', 30), comes('new', 'quar', 35))
    expect(it.passport('dot', 34).state).toBe('proven')
    expect(it.passport('dot', 40)).toMatchObject({ state: 'unproven', exposed: { why: 'fish', what: 'new' } })
    expect(it.words('dot', 40)).toBe('out of quarantine, but not proven since it met new on 6 December 2026')
  })

  test('so does a tank in which an unproven one lives', () => {
    const it = schooled(ends('q', 30), comes('resident', 'obs', -50), moves('dot', 'quar', 'obs', 33))
    expect(it.passport('dot', 40)).toMatchObject({ state: 'unproven', exposed: { what: 'resident' } })
    expect(it.passport('mate', 40).state).toBe('proven')
  })

  test('one that was taken out before its end is proven by nothing that came after, one that came back begins where it is', () => {
    const it = schooled(moves('mate', 'quar', 'obs', 5), ends('q', 30), moves('mate', 'obs', 'quar', 31))
    expect(it.passport('dot', 30.5).state).toBe('proven')
    expect(it.passport('mate', 30.5).state).toBe('unproven')
    // Who lives with it now is not proven any more either.
    expect(it.passport('dot', 40)).toMatchObject({ state: 'unproven', exposed: { what: 'mate' } })
    const back = schooled(moves('mate', 'quar', 'obs', 5), moves('mate', 'obs', 'quar', 8), ends('q', 30))
    expect(back.passport('mate', 40).state).toBe('unproven')
  })

  test('a course that was finished before its count was full proves nothing', () => {
    const it = house(comes('dot', 'quar', 0), starts('q', 'qt-c-ttm', 'quar', 0, ['dot']), ends('q', 30))
    expect(it.passport('dot', 40).state).toBe('unproven')
  })

  test.each([
    'qt-b-drug14',
    'qt-a-cu30',
    'qt-a-cq30',
    'qt-c-ttm',
    'qt-c-velvet',
    'qt-c-hybrid',
    'qt-d-hypo',
    'qt-f-observe',
    'qt-freshwater',
  ])('%s, lived by its own buttons to its close, proves its fish', (id) => {
    const life = liveCourse(id, 'steady')
    expect(passportOf(life.journal, 'ash', life.closedAt! - 1)!.state).toBe('counting')
    expect(passportOf(life.journal, 'ash', life.closedAt! + DAY)).toMatchObject({
      state: 'proven',
      course: { id: 'life' },
    })
  })

  test('a course against flukes alone proves nothing', () => {
    const it = house(comes('dot', 'quar', 0), starts('q', 'qt-d-fluke', 'quar', 0, ['dot']), ends('q', 30))
    expect(it.passport('dot', 40).state).toBe('unproven')
  })
})

describe('the door', () => {
  test('into days without fish: what would be lost, and from when it would be right', () => {
    const it = fallow(comes('frag', 'frag', 20, 'coral-sps'), starts('c', 'coral-76', 'frag', 20))
    const coral = it.door(moves('frag', 'frag', 'reef', 57))
    expect(coral.rules).toEqual(['block unproven'])
    expect(coral.reason).toMatch(/day 36 of 76 .* would lose its 56 days of 76 .* It is clean from 6 February 2027/)
    expect(it.door(comes('new', 'reef', 57)).rules).toEqual(['block fish-in-fallow'])
    expect(it.door(comes('snail', 'reef', 57, 'shrimp-crab-snail')).rules).toEqual(['block unproven'])
    // On the first day nothing is lost yet: the usual caution.
    expect(it.door(comes('snail', 'reef', 0.2, 'shrimp-crab-snail')).rules).toEqual(['caution new-wet-item'])
  })

  test('into a display that stood its days: only who is proven', () => {
    const it = fallow(
      comes('dot', 'obs', 0),
      starts('q', 'qt-f-observe', 'obs', 0, ['dot']),
      ends('q', 60),
      comes('loose', 'frag', 10),
    )
    expect(it.proof('reef', 80)).toMatchObject({ state: 'proven', since: ms(77, 0) })
    expect(it.door(moves('dot', 'obs', 'reef', 80)).rules).toEqual([])
    const loose = it.door(moves('loose', 'frag', 'reef', 80))
    expect(loose.rules).toEqual(['block unproven'])
    expect(loose.reason).toMatch(
      /no finished quarantine on record: .*clean since 17 January 2027: all of that would be lost/,
    )
    expect(it.door(moves('old', 'quar', 'reef', 80)).rules).toEqual(['block unproven'])
    // Before the days are full a proven fish is early too.
    expect(it.door(moves('dot', 'obs', 'reef', 70))).toMatchObject({
      rules: ['block fish-in-fallow'],
      reason: expect.stringMatching(/right from 17 January 2027/i) as string,
    })
  })

  test('a coral that leaves its days early into a display with fish', () => {
    const it = house(
      comes('old', 'reef', -300),
      comes('frag', 'frag', 0, 'coral-sps'),
      starts('c', 'coral-76', 'frag', 0),
    )
    expect(it.door(moves('frag', 'frag', 'reef', 37)).rules).toEqual(['block coral-early'])
    expect(it.door(moves('frag', 'frag', 'reef', 78)).rules).toEqual([])
  })

  test('a tub that was emptied after its days takes the next batch; one whose corals are still in it does not', () => {
    const tub = (...more: readonly Content[]) =>
      house(comes('old', 'frag', 0, 'coral-sps'), starts('c', 'coral-76', 'frag', 0), ...more)
    const next = comes('next', 'frag', 90, 'coral-soft')
    expect(tub().door(next).rules).toEqual(['block unproven'])
    expect(tub(ends('c', 78), moves('old', 'frag', 'obs', 80)).door(next).rules).toEqual([])
  })

  test('a fish in the middle of its course is told from when it would be right', () => {
    const it = house(comes('dot', 'quar', 0), starts('q', 'qt-f-observe', 'quar', 0, ['dot']))
    expect(it.door(moves('dot', 'quar', 'reef', 5)).rules).toEqual(['block treated-to-display'])
  })

  test('a display that nobody ever proved asks nothing of what already lives in the house', () => {
    const it = house(comes('old', 'reef', -300), comes('other', 'obs', -300))
    expect(it.door(moves('other', 'obs', 'reef', 5)).rules).toEqual([])
    expect(it.proof('reef', 5)).toMatchObject({ state: 'unknown' })
    expect(tankProofWords(it.journal, it.proof('reef', 5), clock)).toBeNull()
  })
})

describe('unproven since', () => {
  test('what came in all the same: from when, who, and how long it is looked at', () => {
    const it = fallow(comes('loose', 'frag', 10), moves('loose', 'frag', 'reef', 80))
    expect(it.proof('reef', 90)).toMatchObject({ state: 'unproven', since: ms(80), until: ms(110, 0) })
    expect(tankProofWords(it.journal, it.proof('reef', 90), clock)).toBe(
      'reef is unproven since 20 January 2027: loose on 20 January 2027. A look a day until 19 February 2027',
    )
    expect(it.proof('reef', 111).state).toBe('watched')
  })

  test('a coral on day 36 is looked after for the 40 days it had left', () => {
    const it = fallow(comes('frag', 'frag', 43, 'coral-sps'), moves('frag', 'frag', 'reef', 80))
    expect(it.proof('reef', 90)).toMatchObject({ state: 'unproven', since: ms(80), until: ms(120, 0) })
  })

  test('a wet tool counts as well', () => {
    expect(fallow(touched('reef', 80, 'tool')).proof('reef', 90)).toMatchObject({
      state: 'unproven',
      cameIn: [{ why: 'contact', what: 'tool' }],
    })
  })
})
