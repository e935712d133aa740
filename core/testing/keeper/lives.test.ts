import '../../catalogue/courses/all-definitions.ts'
import { readDipCount } from '../../courses/acts/read-count.ts'
import type { CoursePlan } from '../../courses/plan.ts'
import { passportOfPart } from '../../courses/passport/passport.ts'
import { aftercareChoices, relapseOf } from '../../courses/outlook/plans/aftercare.ts'
import { definitionById } from '../../catalogue/courses/definitions.ts'
import { standingOf } from '../../courses/standing/standing.ts'
import { partById } from '../../household/parts.ts'
import { iso, MS_PER_DAY } from '../../time/zone.ts'
import { KEEPER_SETTINGS, MAIN } from './household.ts'
import type { Keeper } from './keeper.ts'
import { liveCourse, type Life } from './life.ts'

/** Laws that hold whatever befalls: every button keeps what it says, and what it keeps is taken. */
const brokenLaws = ({ troubles }: Life): string[] =>
  troubles.filter(({ law }) => law === 'stuck' || law === 'fault').map(({ law, words }) => `${law}: ${words}`)

const countsOf = (life: Life): string[] =>
  standingOf(life.journal, life.atClose!.course, KEEPER_SETTINGS, life.closedAt!).counts.map(
    ({ track, has, needs, state }) => `${track} ${has} of ${needs} ${state}`,
  )

/** Lets something happen once, at the first moment at which it can. */
const once = (...events: ((keeper: Keeper, plan: CoursePlan, now: number) => boolean)[]) => {
  const left = new Set(events)
  return (keeper: Keeper, plan: CoursePlan, now: number): boolean =>
    [...left].some((event) => event(keeper, plan, now) && left.delete(event))
}

const sights = (keeper: Keeper, now: number, animalId: string, signs: Record<string, boolean>, appetite: number) =>
  keeper.write({
    kind: 'sighting',
    happened: iso(now),
    tankId: MAIN,
    animalIds: [animalId],
    signs: Object.entries(signs).map(([sign, present]) => ({ sign, present })),
    appetite,
  })

test('a coral tub: a pest in round 3 sets the pace, a suspicion on day 20 begins the days again, and both end full', () => {
  const life = liveCourse('coral-76', 'steady', {
    options: { pest: 'none' },
    happens: once(
      (keeper, plan, now) => {
        const task = plan.tasks.find(({ measure, state }) => measure === 'came-off' && state !== 'ahead')
        if (keeper.day(now) < 14 || !task) return false
        const [host] = plan.dips!.hosts
        const read = readDipCount(
          plan,
          task,
          { [host!.id]: { cameOff: 3, eggs: 0, brushed: true } },
          now,
          'montipora-nudi',
        )
        if ('problems' in read) throw new Error(JSON.stringify(read.problems))
        for (const content of read.contents) keeper.write(content)
        return true
      },
      (keeper, _plan, now) => keeper.day(now) >= 20 && keeper.line('tank contact suspect', now),
    ),
  })
  expect(brokenLaws(life)).toEqual([])
  expect(life.atClose!.course.options['pest']).toBe('montipora-nudi')
  expect(countsOf(life).filter((count) => !count.endsWith('full'))).toEqual([])
  // 76 whole days after the suspicion, not after the start.
  expect((life.closedAt! - life.startedAt) / MS_PER_DAY).toBeGreaterThanOrEqual(96)
  const baths = life.journal.ofKind('bath').map(({ at }) => Math.round((at - life.startedAt) / MS_PER_DAY))
  const days = [...new Set(baths)]
  expect(days.slice(0, 3)).toEqual([0, 7, 14])
  // By the pace of this pest: never more than its first eggs take.
  const after = days.filter((day) => day >= 14)
  expect(Math.max(...after.slice(1).map((day, i) => day - after[i]!))).toBeLessThanOrEqual(5)
  const coral = partById(life.journal, 'zoa')!
  expect(passportOfPart(life.journal, coral, life.closedAt! + MS_PER_DAY)).toMatchObject({ state: 'proven' })
})

describe('uronema', () => {
  const feeds = (life: Life) => life.journal.ofKind('feed').map(({ content }) => content)

  test('worse, then better: the fish that stops eating is left out of the medicated meals and comes back to them', () => {
    const life = liveCourse('qt-e-uronema', 'steady', {
      happens: once(
        (keeper, _plan, now) => {
          if (keeper.day(now) < 2) return false
          sights(keeper, now, 'cobalt', { 'open-ulcer': true, 'lethargic-bottom': true }, 1)
          return true
        },
        (keeper, plan, now) => {
          if (keeper.day(now) < 4) return false
          expect(plan.warnings.find(({ id }) => id === 'ward')!.text).toMatch(/^1 of 2 with a sore/)
          sights(keeper, now, 'cobalt', { 'open-ulcer': false, 'lethargic-bottom': false }, 4)
          return true
        },
      ),
    })
    expect(brokenLaws(life)).toEqual([])
    expect(life.closedAt).not.toBeNull()
    expect(countsOf(life).filter((count) => !count.endsWith('full'))).toEqual([])
    expect(feeds(life).length).toBeGreaterThan(0)
  })

  test('worse to the end: nobody is fed medicine, a painless end is named, and the course ends with what the water had', () => {
    let named = ''
    const life = liveCourse('qt-e-uronema', 'steady', {
      happens: (keeper, plan, now) => {
        named ||= plan.warnings.find(({ id }) => id === 'humane-end')?.text ?? ''
        const day = keeper.day(now)
        const seen = keeper.journal.ofKind('sighting').filter(({ at }) => keeper.day(at) === day)
        if (seen.some(({ content }) => content.appetite === 0)) return false
        for (const fish of ['ash', 'cobalt'])
          sights(keeper, now, fish, { 'open-ulcer': true, 'lethargic-bottom': true }, 0)
        return true
      },
    })
    expect(brokenLaws(life)).toEqual([])
    expect(feeds(life).filter(({ ingredient }) => ingredient !== undefined)).toEqual([])
    expect(named).toMatch(/veterinarian/)
    expect(life.closedAt).not.toBeNull()
  })
})

test('dinoflagellates that come back: the plan, its aftercare with a relapse, the plan again as it was, and a clean end', () => {
  const first = liveCourse('dino-sand', 'steady')
  expect(first.closedAt).not.toBeNull()
  const choices = aftercareChoices(definitionById('dino-sand')!)!
  expect(choices).toContain('cells')
  let again: NonNullable<ReturnType<typeof relapseOf>>['again'] = null
  let held: string[] = []
  const back = liveCourse('aftercare', 'steady', {
    options: { watch: 'cells', light: 'was-dark' },
    after: { life: first, days: 1 },
    happens: (keeper, plan, now) => {
      const relapse = relapseOf(keeper.journal, plan)
      if (relapse) {
        again = relapse.again
        held = plan.tasks.filter(({ step }) => step.startsWith('rung-')).flatMap(({ waitsFor }) => waitsFor ?? [])
      }
      const isCounted = keeper.journal.ofKind('count').some(({ content }) => content.values?.[0] === 12)
      if (keeper.day(now) < 15 || isCounted) return false
      keeper.write({
        kind: 'count',
        happened: iso(now),
        tankId: MAIN,
        courseId: plan.course.id,
        measure: 'cells',
        values: [12],
      })
      return true
    },
  })
  expect(brokenLaws(back)).toEqual([])
  expect(again).toMatchObject({ definitionId: 'dino-sand' })
  expect(held.join(' ')).toMatch(/it is back: nothing more is brought back/)
  expect(back.done.get('step-down')).toBeGreaterThan(0)
  expect(back.closedAt).not.toBeNull()
  const second = liveCourse(again!['definitionId'], 'steady', { after: { life: back, days: 1 } })
  expect(brokenLaws(second)).toEqual([])
  expect(countsOf(second).filter((count) => !count.endsWith('full'))).toEqual([])
  const clean = liveCourse('aftercare', 'steady', { options: { watch: 'cells' }, after: { life: second, days: 1 } })
  expect(brokenLaws(clean)).toEqual([])
  expect(relapseOf(clean.journal, clean.atClose!)).toBeNull()
  expect(countsOf(clean).filter((count) => !count.endsWith('full'))).toEqual([])
})
