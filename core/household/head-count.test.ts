import type { Content } from '../journal/entry.ts'
import { arrival } from '../journal/testing.ts'

import { planCourse } from '../courses/testing/plans.ts'
import { headCountContents, headsIn, headSightings } from './head-count.ts'

const AT = Date.parse('2026-06-01T12:00:00Z')

test('who was seen, who in part, and who was not, each by name', () => {
  expect(
    headSightings('reef', ['plum', 'tetras', 'crab'], { seen: ['plum', 'tetras'], seenCounts: { tetras: 4 } }, AT),
  ).toMatchObject([
    { animalIds: ['plum'], seen: true },
    { animalIds: ['tetras'], seen: true, seenCount: 4 },
    { animalIds: ['crab'], seen: false },
  ])
  expect(headSightings('reef', [], { seen: [], seenCounts: {} }, AT)).toEqual([])
})

test('the heads of a course are a count to hold the next one against: one fewer is behind', () => {
  const it = planCourse('blackout-marine')
  for (const id of ['plum', 'saffron']) it.write(arrival(id, 'tank', 1, 1, id))
  it.write({ ...arrival('torch', 'tank', 1, 1, 'torch'), group: 'coral-lps' } as Content)
  expect(headsIn(it.journal, 'tank')).toEqual(['plum', 'saffron'])
  const heads = (day: number, seen: readonly string[]) => {
    for (const content of headCountContents(
      it.journal,
      { tankId: 'tank', courseId: 'p', taskId: 'p/step-1-heads/0' },
      ['plum', 'saffron'],
      { seen, seenCounts: {} },
      it.ms(day),
    ))
      it.write(content)
  }
  heads(-0.1, ['plum', 'saffron'])
  heads(3.6, ['plum'])
  expect(it.plan(4).measures.find(({ track }) => track.measure === 'head-count')).toMatchObject({
    first: { value: 2 },
    last: { value: 1 },
    expected: 2,
    verdict: 'behind',
  })
})
