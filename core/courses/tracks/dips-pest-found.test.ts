import { readDipCount } from '../acts/read-count.ts'
import '../../catalogue/courses/all-definitions.ts'
import { fragTub } from '../testing/corals.ts'

describe('a pest that is found in a round sets the pace from that round on', () => {
  const found = () => {
    const it = fragTub({ definition: 'coral-76', options: { pest: 'none' } })
    for (const day of [0, 7]) {
      it.dip(day, '10:00')
      it.count(day, '10:20', 'came-off', [0, 0])
    }
    it.dip(14, '10:00')
    const plan = it.plan(14, '10:30')
    const task = plan.tasks.find(({ measure }) => measure === 'came-off')!
    const [first] = plan.dips!.hosts
    const counts = { [first!.id]: { cameOff: 2, eggs: 0, brushed: true } }
    const read = readDipCount(plan, task, counts, it.ms(14, '10:30'), 'montipora-nudi')
    if ('problems' in read) throw new Error(JSON.stringify(read.problems))
    return { it, read }
  }

  test('it stands in the course’s settings, and the next dip is due four days later', () => {
    const { it, read } = found()
    expect(read.contents.at(-1)).toMatchObject({
      kind: 'course-change',
      changes: { options: { pest: 'montipora-nudi' } },
    })
    for (const content of read.contents) it.write(content)
    const { dips: state, course } = it.plan(14, '11:00')
    expect(course.options['pest']).toBe('montipora-nudi')
    expect(state).toMatchObject({ pace: { intervalDays: 4, need: 4 }, has: 0 })
    expect(it.windows(14, '11:00', 'dip')[0]![1]).toBe(18)
  })

  test('rounds before it are judged by the pace that they were made at', () => {
    const { it, read } = found()
    for (const content of read.contents) it.write(content)
    // Seven days are more than this pest takes to its first eggs; the rounds before were against nothing that was known.
    expect(it.plan(14, '11:00').dips!.restarts.map(({ why }) => why)).toEqual(['pest-seen'])
    expect(it.plan(21, '11:00').dips!.state).toBe('broken')
  })

  test('nothing found, or the same pest, changes no setting', () => {
    const { it } = found()
    const plan = it.plan(14, '10:30')
    const task = plan.tasks.find(({ measure }) => measure === 'came-off')!
    const kinds = (pest?: string, cameOff = 0) => {
      const counts = { [plan.dips!.hosts[0]!.id]: { cameOff, eggs: 0, brushed: true } }
      const read = readDipCount(plan, task, counts, it.ms(14, '10:30'), pest)
      return 'contents' in read ? read.contents.map(({ kind }) => kind) : []
    }
    expect(kinds('aefw')).not.toContain('course-change')
    expect(kinds(undefined, 3)).not.toContain('course-change')
    expect(kinds('none', 3)).not.toContain('course-change')
  })

  test('looks after dark lie between dips that are a week apart', () => {
    const it = fragTub({ definition: 'coral-76', options: { pest: 'none' } })
    expect(it.windows(0, '09:00', 'look', 24).map(([, day]) => day)).toEqual([0, 3, 10, 17])
    expect(it.windows(0, '09:00', 'dip', 24).map(([, day]) => day)).toEqual([0, 7, 14, 21])
    const cycle = fragTub()
    expect(cycle.windows(0, '09:00', 'dark', 14).map(([, day]) => day)).toEqual([0, 3, 10])
  })
})
