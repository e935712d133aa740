import { likelyBags } from './likely-bags.ts'
import type { BoxQuestion } from './together.ts'

const bag = { volumeL: 1, temperatureC: 22, salinityPsu: 30, pH: 7, alkalinityDkh: 7, tanMgPerL: 1 }
const limits = { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 }
const question: BoxQuestion = {
  animals: [
    { id: 'a', name: 'A', bag, limits },
    { id: 'b', name: 'B', bag: { ...bag, salinityPsu: 33.1 }, limits },
  ],
  tank: { temperatureC: 25, salinityPsu: 35, pH: 8.1, alkalinityDkh: 8, tanMgPerL: 0 },
  container: { capacityL: 4, leaveL: 2 },
  room: { temperatureC: 21 },
  float: { minutes: 20 },
  shippingHours: 20,
  tankCanBeMatched: false,
}

test('three bags as they may turn out; what was measured stays', () => {
  const likely = likelyBags(question, new Set(['a']))
  expect(likely.map(({ words }) => words)).toEqual(['26 psu', '30 psu', '34 psu'])
  for (const { psu, question: one } of likely) {
    expect(one.animals.map((animal) => animal.bag.salinityPsu)).toEqual([psu, 33.1])
    expect({ ...one, animals: question.animals }).toEqual(question)
  }
  const [low] = likelyBags({ ...question, units: { salinity: 'sg', temperature: 'C' } }, new Set(['a']))
  expect(low!.words).toMatch(/ SG$/)
})
