import type { Settings } from '../../household/settings.ts'
import { tanksOf } from '../../household/tanks.ts'
import { boxById } from './boxes.ts'
import { askedOf, boxAsTyped, emptyAnimal, readBox, type AnimalValues, type BoxValues } from './box-form.ts'
import { home } from '../testing.ts'

const values = (animal: Partial<AnimalValues>, more: Partial<BoxValues> = {}): BoxValues => ({
  date: '2026-11-26',
  time: '10:30',
  hours: '18',
  source: 'mail order',
  animals: [
    {
      expectedId: 'orchid',
      species: 'orchid dottyback',
      name: '',
      count: '1',
      group: 'dottyback-basslet',
      tankId: 'side',
      sizeCm: '',
      sellerPsu: '',
      lightUmol: '',
      dip: false,
      ...animal,
    },
  ],
  ...more,
})

function form(changes: Partial<Settings> = {}) {
  const it = home()
  const settings = { ...it.settings, ...changes }
  const read = (typed: BoxValues, boxId = 'box') =>
    readBox(typed, {
      tanks: tanksOf(it.journal),
      settings,
      box: boxById(it.journal, boxId),
      boxId,
      now: it.ms(0, '12:00'),
    })
  const contents = (typed: BoxValues) => {
    const answer = read(typed)
    if ('problems' in answer) throw new Error(JSON.stringify(answer.problems))
    return answer.contents
  }
  const problems = (typed: BoxValues) => {
    const answer = read(typed)
    return 'problems' in answer ? answer.problems : {}
  }
  return { ...it, settings, read, contents, problems }
}

describe('a box announced', () => {
  test('is kept as it was typed, each animal by itself, the box by its name', () => {
    const it = form()
    it.write(...it.contents(values({ name: 'Plum II', sizeCm: '6', sellerPsu: '32.5' })))
    const box = boxById(it.journal, 'box')!
    expect(box).toMatchObject({ hoursInTransit: 18, source: 'mail order' })
    expect(box.animals[0]).toMatchObject({ name: 'Plum II', sizeCm: 6, sellerPsu: 32.5, tankId: 'side' })
    expect(box.dueAt).toBe(Date.parse('2026-11-26T10:30:00Z'))
  })

  test('hours, size and the seller’s salinity may be left empty', () => {
    expect(form().contents(values({}, { hours: '', source: '' }))[0]).not.toHaveProperty('hoursInTransit')
  })

  test('what is wrong stands beside its field, all of it at once', () => {
    const wrong = form().problems(
      values(
        { species: ' ', count: '1.5', sizeCm: '900', sellerPsu: '350' },
        { date: '2026-02-30', time: '25:00', hours: '500' },
      ),
    )
    expect(Object.keys(wrong).sort()).toEqual([
      'animals.0.count',
      'animals.0.sellerPsu',
      'animals.0.sizeCm',
      'animals.0.species',
      'date',
      'hours',
      'time',
    ])
    expect(wrong['animals.0.sellerPsu']!.message).toBe('0 psu to 45 psu is plausible')
    expect(wrong['hours']!.message).toMatch(/up to five days/)
  })

  test('a figure that could be two numbers is asked about', () => {
    expect(form().problems(values({ sellerPsu: '32,500' }))['animals.0.sellerPsu']!.choices).toHaveLength(2)
  })

  test('fresh water is no place for a marine animal', () => {
    const it = form()
    it.on(-5, '08:00', 'tank-setup', {
      tankId: 'plants',
      name: 'Plant tank',
      water: 'freshwater',
      role: 'display',
      sheet: { shape: { kind: 'known', litres: 60 } },
    })
    expect(it.problems(values({ tankId: 'plants' }))['animals.0.tankId']!.message).toMatch(
      /Plant tank is fresh water; .* need salt water/,
    )
  })

  test('a household that measures by gravity and inches is read in them, and shown them again', () => {
    const it = form({ units: { ...home().settings.units, salinity: 'sg', length: 'in' } })
    const [content] = it.contents(values({ sellerPsu: '1.0230', sizeCm: '2' }))
    expect(content).toMatchObject({ sizeCm: 5.08 })
    expect((content as { sellerPsu: number }).sellerPsu).toBeGreaterThan(29)
    expect((content as { sellerPsu: number }).sellerPsu).toBeLessThan(32)
    // 32 typed by habit of another instrument is no gravity.
    expect(it.problems(values({ sellerPsu: '32' }))).toHaveProperty(['animals.0.sellerPsu'])
    it.write(content!)
    expect(boxAsTyped(boxById(it.journal, 'box')!, it.settings).animals[0]).toMatchObject({
      sizeCm: '2',
      sellerPsu: '1.0230',
    })
  })

  test('what is not asked of a group is not read, whatever stands in it', () => {
    const it = form()
    const [coral] = it.contents(values({ group: 'coral-lps', sizeCm: 'hand', lightUmol: '120', dip: true }))
    expect(coral).toMatchObject({ lightUmol: 120, dip: true })
    expect(coral).not.toHaveProperty('sizeCm')
    const [fish] = it.contents(values({ lightUmol: 'bright', dip: true }))
    expect(fish).not.toHaveProperty('lightUmol')
    expect(fish).not.toHaveProperty('dip')
    expect(askedOf('fw-cichlid')).toEqual({ sizeCm: true, sellerPsu: false, lightUmol: false, dip: false })
  })
})

describe('an announcement put right', () => {
  test('stands as it was announced, and keeps what it does not ask', () => {
    const it = form()
    it.expects('orchid', { noQuarantine: true, sizeCm: 5.5 })
    it.expects('shrimp', { species: 'cleaner shrimp', group: 'shrimp-crab-snail' })
    const typed = boxAsTyped(boxById(it.journal, 'box')!, it.settings)
    expect(typed).toMatchObject({ date: '2026-11-02', time: '10:30', hours: '18' })
    expect(typed.animals.map(({ species, sizeCm }) => [species, sizeCm])).toEqual([
      ['orchid dottyback', '5.5'],
      ['cleaner shrimp', ''],
    ])
    const [orchid] = it.contents(typed)
    expect(orchid).toMatchObject({ noQuarantine: true })
    // Another tank is another decision.
    const moved = { ...typed, animals: [{ ...typed.animals[0]!, tankId: 'hall' }, typed.animals[1]!] }
    expect(it.contents(moved)[0]).not.toHaveProperty('noQuarantine')
  })

  test('an animal taken out of it is not awaited any more; a new one is', () => {
    const it = form()
    it.expects('orchid')
    it.expects('shrimp', { species: 'cleaner shrimp', group: 'shrimp-crab-snail' })
    const typed = boxAsTyped(boxById(it.journal, 'box')!, it.settings)
    const goby = { ...emptyAnimal(tanksOf(it.journal), null, 'goby'), species: 'watchman goby', group: 'goby-blenny' }
    it.write(...it.contents({ ...typed, animals: [typed.animals[1]!, goby] }))
    expect(
      boxById(it.journal, 'box')!
        .animals.map(({ expectedId }) => expectedId)
        .sort(),
    ).toEqual(['goby', 'shrimp'])
  })

  test('without a group nothing is announced: it decides too much to be taken for granted', () => {
    const it = form()
    const unknown = { ...emptyAnimal(tanksOf(it.journal), null, 'x'), species: 'something blue' }
    expect(it.problems({ ...values({}), animals: [unknown] })['animals.0.group']!.message).toMatch(/which group/)
  })

  test('a newcomer goes to the tub by itself, not among the residents', () => {
    const it = form()
    expect(emptyAnimal(tanksOf(it.journal), null, 'x').tankId).toBe('side')
    expect(emptyAnimal(tanksOf(it.journal), 'hall', 'x').tankId).toBe('hall')
  })
})
