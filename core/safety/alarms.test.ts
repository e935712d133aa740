import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { copperAlarms } from './alarms.ts'
import { hasMetCopper } from './met-copper.ts'
import { dose, journalOf, lives, NOW, piece, reads, type Doing } from './testing/house.ts'

const alarmed = (...before: (readonly [number, Doing])[]) =>
  copperAlarms(journalOf(before), NOW).map(({ tank, mgPerL, who }) => [tank.id, mgPerL, ...who])

test('copper read where an urchin lives is an alarm with what to do now, until a test shows it gone', () => {
  const urchin = [-900, lives('reef', 'star-urchin')] as const
  expect(alarmed(urchin)).toEqual([])
  expect(alarmed(urchin, [-5, reads('reef', 'copper', 0.3)])).toEqual([['reef', 0.3, expect.stringContaining('Pip')]])
  expect(alarmed(urchin, [-5, reads('reef', 'copper', 0.04)])).toEqual([])
  expect(alarmed(urchin, [-5, reads('reef', 'copper', { kind: 'below', limit: 0.5 })])).toEqual([])
  expect(alarmed(urchin, [-5, reads('reef', 'copper', 0.3)], [-1, reads('reef', 'copper', 0)])).toEqual([])
  const [alarm] = copperAlarms(journalOf([urchin, [-5, reads('reef', 'copper', 0.3)]]), NOW)
  expect(alarm!.steps.join(' ')).toMatch(/Invertebrates and corals first.*Change half of the water, 50 L.*resin/)
})

test('dosed by mistake it is one too, before anybody has tested; pieces count, a tank without invertebrates does not', () => {
  expect(alarmed([-900, piece('reef', 'coral-sps')], [-1, dose('reef', 'cu-chelated', 100)])).toHaveLength(1)
  expect(alarmed([-900, lives('quar', 'hawkfish')], [-1, dose('quar', 'cu-chelated', 100)])).toEqual([])
  expect(
    alarmed([-900, piece('reef', 'coral-sps')], [-1, reads('reef', 'copper', { kind: 'above', limit: 0.1 })]),
  ).toHaveLength(1)
})

test('a journal that never met copper is not looked through', () => {
  expect(hasMetCopper(new Journal())).toBe(false)
  const journal = new Journal()
  journal.add([scribe().record(reads('reef', 'copper', 0)(0))])
  expect(hasMetCopper(journal)).toBe(true)
})
