import { animalById, tankOfAnimal } from '../../household/animals.ts'
import { meetingMoves, openingContents } from './introducing.ts'
import { introductionById } from './introductions.ts'
import { home } from '../testing.ts'

/** Orchid in the side tub, Plum in the hall reef. */
function two() {
  const it = home()
  it.on(0, '18:00', 'arrival', {
    animalId: 'orchid',
    tankId: 'side',
    name: 'Orchid',
    species: 'orchid dottyback',
    group: 'dottyback-basslet',
    count: 1,
  })
  const begin = (way: 'box' | 'neutral' | 'pair', more: object = {}) => {
    const plan = { way, tankId: 'hall', animalIds: ['orchid'], rivalIds: ['plum'], ...more }
    it.on(1, '18:00', 'introduction-start', { introId: 'intro', conditions: [], ...plan })
    it.write(...meetingMoves(it.journal, plan, it.ms(1, '18:00')))
    return introductionById(it.journal, 'intro')!
  }
  const where = (id: string) => tankOfAnimal(animalById(it.journal, id)!)
  return { ...it, begin, where }
}

test('a box hangs in the water of the display: who is in it lives there', () => {
  const it = two()
  const intro = it.begin('box')
  expect([it.where('orchid'), it.where('plum')]).toEqual(['hall', 'hall'])
  expect(openingContents(it.journal, intro, it.ms(3, '19:00'))).toEqual([
    expect.objectContaining({ kind: 'introduction-mark', mark: 'opened', introId: 'intro' }),
  ])
})

test('who is on the way there by an acclimation moves when that ends, not before', () => {
  const it = two()
  it.start('r', {
    tankId: 'hall',
    fromTankId: 'side',
    animals: [{ animalId: 'orchid', species: 'orchid dottyback', group: 'dottyback-basslet', count: 1 }],
  })
  it.begin('box')
  expect(it.where('orchid')).toBe('side')
})

test('rivals meet in the neutral tank, and go home together', () => {
  const it = two()
  const intro = it.begin('neutral', { neutralTankId: 'side' })
  expect([it.where('orchid'), it.where('plum')]).toEqual(['side', 'side'])
  it.write(...openingContents(it.journal, intro, it.ms(3, '19:00')))
  expect([it.where('orchid'), it.where('plum')]).toEqual(['hall', 'hall'])
  expect(introductionById(it.journal, 'intro')!.openedAt).toBe(it.ms(3, '19:00'))
})

test('a pair stays where it is until it goes in at one moment', () => {
  const it = two()
  const intro = it.begin('pair')
  expect(it.where('orchid')).toBe('side')
  it.write(...openingContents(it.journal, intro, it.ms(1, '20:00')))
  expect(it.where('orchid')).toBe('hall')
})

test('against the promise the reason is kept with it', () => {
  const it = two()
  const intro = it.begin('neutral', { neutralTankId: 'side' })
  const [mark, ...moves] = openingContents(it.journal, intro, it.ms(2, '09:00'), 'the tub leaks')
  expect(mark).toMatchObject({ mark: 'home', why: 'the tub leaks' })
  expect(moves).toHaveLength(2)
})

test('who died meanwhile is not moved', () => {
  const it = two()
  const intro = it.begin('pair')
  it.on(1, '19:00', 'death', { animalId: 'orchid', tankId: 'side' })
  expect(openingContents(it.journal, intro, it.ms(1, '20:00')).map(({ kind }) => kind)).toEqual(['introduction-mark'])
})
