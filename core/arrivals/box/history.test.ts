import { iso } from '../../time/zone.ts'
import { arrivalOf, arrivalsOf } from './history.ts'
import { releaseContents } from '../run/release.ts'
import { runById } from '../run/runs.ts'
import { home } from '../testing.ts'

/** The dottyback across on day 1 at 11:30, by its run. */
function across() {
  const it = home()
  it.expects('orchid')
  it.start('r')
  it.event('r', 16, { event: 'opened' })
  it.write(...releaseContents(it.journal, runById(it.journal, 'r')!, it.ms(1, '11:30')))
  return it
}

describe('the ledger of an arrival', () => {
  test('where it came from, how long it was on the way, by which run', () => {
    const it = across()
    expect(arrivalOf(it.journal, 'orchid')).toMatchObject({
      tankId: 'side',
      source: 'mail order',
      hoursInTransit: 18,
      noQuarantine: false,
      arrivedAt: it.ms(1, '11:30'),
      run: { id: 'r' },
      firstMealAt: null,
      firstSigns: null,
    })
  })

  test('its first meal is the first it really ate, by sight or in training', () => {
    const it = across()
    const seen = (day: number, time: string, appetite: number) =>
      it.on(day, time, 'sighting', { tankId: 'side', animalIds: ['orchid'], signs: [], appetite })
    seen(1, '19:00', 1)
    seen(2, '08:00', 2)
    it.on(2, '19:00', 'training', { tankId: 'side', animalIds: ['orchid'], food: 'mysis', mark: 3 })
    seen(3, '08:00', 4)
    expect(arrivalOf(it.journal, 'orchid')!.firstMealAt).toBe(it.ms(2, '19:00'))
  })

  test('what was found in the bag is told apart from the first sign after it', () => {
    const it = across()
    const sign = (day: number, time: string, ...signs: [string, boolean][]) =>
      it.on(day, time, 'sighting', {
        tankId: 'side',
        animalIds: ['orchid'],
        signs: signs.map(([id, present]) => ({ sign: id, present })),
      })
    sign(1, '10:35', ['clamped-fins', true], ['flashing', false])
    sign(3, '09:00', ['flashing', false])
    sign(4, '09:00', ['flashing', true])
    sign(6, '09:00', ['clamped-fins', true])
    expect(arrivalOf(it.journal, 'orchid')).toMatchObject({
      found: ['clamped-fins'],
      firstSigns: { at: it.ms(4, '09:00'), signs: ['flashing'] },
    })
  })

  test('a sign of two months later is no first sign of the arrival', () => {
    const it = across()
    it.on(60, '09:00', 'sighting', {
      tankId: 'side',
      animalIds: ['orchid'],
      signs: [{ sign: 'flashing', present: true }],
      appetite: 4,
    })
    expect(arrivalOf(it.journal, 'orchid')).toMatchObject({ firstSigns: null, firstMealAt: null })
  })

  test('the latest arrival stands first; one struck out is none', () => {
    const it = across()
    expect(arrivalsOf(it.journal).map(({ animal }) => animal.id)).toEqual(['orchid', 'plum'])
    const line = it.journal.ofKind('arrival').find(({ content }) => content.animalId === 'orchid')!
    it.journal.add([{ id: 'strike', logged: iso(it.ms(2, '09:00')), strikes: line.id }])
    expect(arrivalsOf(it.journal).map(({ animal }) => animal.id)).toEqual(['plum'])
    expect(arrivalOf(it.journal, 'orchid')).toBeNull()
  })
})
