import { conditionFacts } from './condition-facts.ts'
import { decideWay, fitsDecision, type DecisionAnswers } from './decide.ts'

const NOTHING: DecisionAnswers = {
  coveragePercent: null,
  animals: null,
  canComeOut: false,
  growsFromPieces: false,
  cameBackByHand: false,
  isToxic: false,
  isYoungTank: false,
}
const decide = (id: string, answers: Partial<DecisionAnswers> = {}, isConfirmed = false) =>
  decideWay('marine-film', conditionFacts(id)!, { ...NOTHING, ...answers }, isConfirmed)

describe('hand, spot or tank: outbreaks.md 1, decision', () => {
  test('under a tenth on what can be taken out is for the hand; a tenth is not', () => {
    expect(decide('turf-algae', { coveragePercent: 9.9, canComeOut: true }).way).toBe('by-hand')
    expect(decide('turf-algae', { coveragePercent: 10, canComeOut: true }).way).toBe('treat-spot')
    expect(decide('turf-algae', { coveragePercent: 9.9 }).way).toBe('treat-spot')
    expect(decide('turf-algae', { coveragePercent: 9.9, canComeOut: true, growsFromPieces: true }).way).toBe(
      'treat-spot',
    )
  })
  test('five animals are for the hand, six are not', () => {
    const few = (animals: number) =>
      decideWay('coral-and-pests', conditionFacts('aiptasia')!, { ...NOTHING, animals, canComeOut: true }, true).way
    expect([few(5), few(6)]).toEqual(['by-hand', 'treat-spot'])
  })
  test('three tenths, poison, or new places after a fortnight by hand treat the tank, once it is confirmed', () => {
    expect(decide('turf-algae', { coveragePercent: 29.9 }).way).toBe('treat-spot')
    expect(decide('turf-algae', { coveragePercent: 30 })).toMatchObject({ way: 'treat-tank', waitsForCheck: true })
    expect(decide('turf-algae', { coveragePercent: 30 }, true).waitsForCheck).toBe(false)
    expect(decide('turf-algae', { coveragePercent: 5, isToxic: true }).way).toBe('treat-tank')
    expect(decide('turf-algae', { coveragePercent: 5, cameBackByHand: true }).way).toBe('treat-tank')
  })
  test('hours are an emergency; the harmless, and diatoms of a young tank, are left alone', () => {
    expect(decide('brown-jelly').way).toBe('emergency')
    expect(decide('bristleworm-harmless', { coveragePercent: 50 }).way).toBe('do-nothing')
    expect(decide('diatoms', { isYoungTank: true })).toMatchObject({ way: 'do-nothing', changesConditions: false })
  })
  test('every alga is met at its cause as well; a pest is not', () => {
    expect(decide('turf-algae', { coveragePercent: 20 }).changesConditions).toBe(true)
    expect(decideWay('coral-and-pests', conditionFacts('aiptasia')!, NOTHING, true).changesConditions).toBe(false)
  })
  test('with nothing said it is open, and no plan fits', () => {
    expect(decide('turf-algae').isOpen).toBe(true)
    expect(fitsDecision(decide('turf-algae'), 'peroxide-bench')).toBe(false)
    expect(decide('turf-algae', { coveragePercent: 12 }).isOpen).toBe(false)
  })
  test('plans of the right kind fit', () => {
    const spot = decide('turf-algae', { coveragePercent: 20 })
    expect(
      ['peroxide-bench', 'algae-manual-grazers', 'cyano-marine-conditions', 'watch-wait'].map((id) =>
        fitsDecision(spot, id),
      ),
    ).toEqual([true, true, true, false])
    expect(fitsDecision(decide('bristleworm-harmless'), 'watch-wait')).toBe(true)
    expect(fitsDecision(decide('turf-algae', { coveragePercent: 40 }), 'algae-manual-grazers')).toBe(false)
  })
})
