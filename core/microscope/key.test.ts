import { CELL_KINDS, cellKind } from '../catalogue/microscope/cell-kinds.data.ts'
import { NIGHT_HABITS } from '../catalogue/microscope/night-habits.data.ts'
import { nightTestOf } from '../diagnosis/night-test.ts'
import { caseById } from '../diagnosis/cases.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { bareTank, scribe } from '../journal/testing.ts'
import { caseLookTasks } from '../schedule/case-looks.ts'
import { MS_PER_HOUR } from '../time/zone.ts'
import { followingOf } from './following.ts'
import { conditionsIn, keyStep, kindsFound, questionsLeft, signsSaid, walkKey, type KeyAnswer } from './key.ts'
import { caughtBy, MESHES, widthsUm } from './mesh.ts'
import { ASKED_KINDS, isScore, judge, nextRound, NO_SCORE, scored } from './practice.ts'

const way = (...steps: string[]): KeyAnswer[] =>
  steps.map((step) => ({ step: step.split(':')[0]!, choice: step.split(':')[1]!, wrote: [] }))

describe('walking the key', () => {
  test.each([
    ['the oval with a notch', ['k1:yes', 'k6:no', 'k7:no', 'k8:no', 'k9:no', 'k10:no', 'k11:yes'], 'dino-prorocentrum'],
    ['the tied spinner', ['k1:yes', 'k6:no', 'k7:no', 'k8:yes'], 'dino-ostreopsis'],
    ['the glass box', ['k1:no', 'k2:yes'], 'diatoms'],
    ['balls in jelly', ['k1:no', 'k2:no', 'k3:no', 'k4:no', 'k5:jelly'], 'chrysophytes'],
    ['ciliates in slime', ['k1:yes', 'k6:no', 'k7:slime'], 'brown-jelly'],
    ['a big lens', ['k1:yes', 'k6:no', 'k7:no', 'k8:no', 'k9:no', 'k10:no', 'k11:no', 'k12:yes'], 'dino-gambierdiscus'],
  ])('%s', (_, steps, condition) => {
    const place = walkKey(way(...steps), 'marine')
    expect(place).toMatchObject({ at: 'found', find: { conditions: [condition] } })
  })
  test('asks fresh water nothing about dinoflagellates', () => {
    expect(walkKey(way('k1:yes', 'k6:no', 'k7:no'), 'marine')).toMatchObject({ step: { id: 'k8' } })
    expect(walkKey(way('k1:yes', 'k6:no', 'k7:no'), 'freshwater')).toMatchObject({ step: { id: 'k13' } })
  })
  test('answers that no longer fit are left out; nothing found says what to do', () => {
    expect(walkKey(way('k1:yes', 'k9:no', 'k7:no'), 'marine')).toMatchObject({ at: 'question', step: { id: 'k6' } })
    expect(walkKey(way('k1:no', 'k2:no', 'k3:no', 'k4:no', 'k5:other'), 'marine')).toMatchObject({
      at: 'again',
      words: expect.stringMatching(/warm the slide.*two minutes/) as string,
    })
  })
  test('says how many questions may be left, and never more than were left before', () => {
    const first = walkKey([], 'marine')
    expect(questionsLeft(first, 'marine')).toBe(9)
    expect(questionsLeft(walkKey(way('k1:yes', 'k6:no'), 'marine'), 'marine')).toBe(7)
    expect(questionsLeft(walkKey(way('k1:no', 'k2:yes'), 'marine'), 'marine')).toBe(0)
  })
  test('a find keeps to the conditions of the water, and shows its kinds', () => {
    const place = walkKey(way('k1:yes', 'k6:chain'), 'marine')
    const find = place.at === 'found' ? place.find : null
    expect(conditionsIn(find!, 'marine')).toEqual(['cyano-marine'])
    expect(conditionsIn(find!, 'freshwater')).toEqual(['cyano-fresh'])
    expect(kindsFound(find!)).toEqual(['cyano-chain'])
  })
})

describe('signs of an answer', () => {
  const choice = (step: string, id: string) => keyStep(step)!.choices.find((one) => one.id === id)!
  test('go to the table of the case', () => {
    expect(signsSaid(choice('k11', 'yes'), 'marine-film', {})).toEqual([{ sign: 'a-m-notch-slow', answer: 'present' }])
    expect(signsSaid(choice('k2', 'yes'), 'freshwater-algae', {})).toEqual([
      { sign: 'b-m-glass-shells', answer: 'present' },
    ])
    expect(signsSaid(choice('k11', 'yes'), 'coral-and-pests', {})).toEqual([])
  })
  test('another kind of cell takes back nothing that one has shown', () => {
    expect(signsSaid(choice('k2', 'no'), 'marine-film', { 'a-m-glass-shells': 'present' })).toEqual([])
    expect(signsSaid(choice('k2', 'no'), 'marine-film', {})).toEqual([{ sign: 'a-m-glass-shells', answer: 'absent' }])
    // And a yes goes over an earlier no.
    expect(signsSaid(choice('k8', 'yes'), 'marine-film', { 'a-m-tether-spin': 'absent' })).toEqual([
      { sign: 'a-m-tether-spin', answer: 'present' },
    ])
  })
})

describe('a mesh', () => {
  test('holds what is wider than its openings: a 200 µm mat lets single dinoflagellates through, 10 µm hold them', () => {
    for (const { tally, id } of CELL_KINDS)
      if (tally === 'dinos') {
        expect([id, caughtBy(cellKind(id), 200)]).toEqual([id, 'none'])
        expect([id, caughtBy(cellKind(id), 10)]).toEqual([id, id === 'amphidinium-small' ? 'some' : 'all'])
      }
    expect(caughtBy(cellKind('prorocentrum'), 25)).toBe('some')
    expect(caughtBy(cellKind('chrysophytes'), 25)).toBe('none')
  })
  test('a finer one never holds less', () => {
    const rank = { all: 2, some: 1, none: 0 }
    for (const kind of CELL_KINDS)
      MESHES.slice(1).forEach(({ um }, i) =>
        expect(rank[caughtBy(kind, um)]).toBeLessThanOrEqual(rank[caughtBy(kind, MESHES[i]!.um)]),
      )
    expect(widthsUm(cellKind('amphidinium-large'))).toEqual([20, 35])
  })
})

describe('what follows', () => {
  test('by habit, with the jar wanted first; no dinoflagellate, nothing', () => {
    expect(followingOf('dino-ostreopsis', null)).toMatchObject({ plans: ['dino-uv'], wantsJar: true, fits: null })
    expect(followingOf('dino-amphidinium-large', null)).toMatchObject({ plans: ['dino-sand'] })
    expect(followingOf('diatoms', null)).toBeNull()
  })
  test('the jar goes before the habit, and is held against it', () => {
    expect(followingOf('dino-amphidinium-small', 'water')).toMatchObject({
      plans: ['dino-uv', 'dino-sand'],
      fits: true,
    })
    expect(followingOf('dino-amphidinium-large', 'water')).toMatchObject({ fits: false, wantsJar: true })
    expect(followingOf('dino-ostreopsis', 'sand')).toMatchObject({ plans: ['dino-sand', 'dino-uv'], fits: false })
    expect(followingOf('dino-prorocentrum', 'between')).toMatchObject({ plans: ['dino-uv', 'dino-sand'], fits: true })
    // What sits on algae goes with them, wherever loose cells drift.
    expect(followingOf('dino-gambierdiscus', 'water')!.plans[0]).toBe('algae-manual-grazers')
    for (const { condition, plans } of NIGHT_HABITS)
      for (const jar of ['water', 'sand', 'between'] as const)
        for (const plan of plans) expect(followingOf(condition, jar)!.plans).toContain(plan)
  })
})

describe('the dark jar of a case', () => {
  const START = Date.parse('2026-11-01T20:00:00Z')
  const at = (hours: number) => new Date(START + hours * MS_PER_HOUR).toISOString()
  const mark = (hours: number, rest: object): Content => ({
    kind: 'case-mark',
    happened: at(hours),
    caseId: 'k',
    tankId: 'hall',
    mark: 'night-test',
    ...rest,
  })
  function house(...contents: Content[]) {
    const journal = new Journal()
    const { record } = scribe('2026-01-01T00:00:00Z')
    const start: Content = {
      kind: 'case-start',
      happened: at(-1),
      caseId: 'k',
      tankId: 'hall',
      table: 'marine-film',
      animalIds: [],
    }
    for (const content of [bareTank('hall', 'Hall reef'), start, ...contents]) journal.add([record(content)])
    return journal
  }
  test('is looked at after two hours: due then, late after six, and gone once it is looked at', () => {
    const waiting = house(mark(0, { lookAt: at(2) }))
    const states = [1, 2.5, 7].map((hours) => caseLookTasks(waiting, START + hours * MS_PER_HOUR)[0]?.state)
    expect(states).toEqual(['ahead', 'due', 'late'])
    const looked = house(mark(0, { lookAt: at(2) }), mark(2.2, { night: 'sand' }))
    expect(caseLookTasks(looked, START + 3 * MS_PER_HOUR)).toEqual([])
    expect(caseById(looked, 'k')!.nightTest).toEqual({
      begunAt: START,
      lookAt: START + 2 * MS_PER_HOUR,
      place: 'sand',
    })
  })
  test('one that was given up is as if it never was; the last one counts', () => {
    const lines = (...contents: Content[]) => house(...contents).about('case:k')
    expect(nightTestOf(lines(mark(0, {}), mark(3, { night: 'given-up' })))).toBeNull()
    expect(nightTestOf(lines(mark(0, {})))).toMatchObject({ lookAt: START + 2 * MS_PER_HOUR, place: null })
    expect(
      nightTestOf(lines(mark(0, {}), mark(2, { night: 'water' }), mark(30, {}), mark(32, { night: 'sand' }))),
    ).toMatchObject({ begunAt: START + 30 * MS_PER_HOUR, place: 'sand' })
  })
})

describe('practice', () => {
  const rounds = Array.from({ length: 400 }, (_, seed) => nextRound(NO_SCORE, seed))
  test('asks every kind, one or two at a time, and never two that only a length tells apart', () => {
    expect(new Set(rounds.flatMap(({ kinds }) => kinds))).toEqual(new Set(ASKED_KINDS))
    const mixed = rounds.filter(({ kinds }) => kinds.length === 2)
    expect(mixed.length / rounds.length).toBeGreaterThan(0.25)
    expect(mixed.length / rounds.length).toBeLessThan(0.45)
    for (const { kinds } of mixed) {
      expect(kinds[0]).not.toBe(kinds[1])
      expect([...kinds].sort()).not.toEqual(['amphidinium-large', 'amphidinium-small'])
    }
    expect(nextRound(NO_SCORE, 7)).toEqual(nextRound(NO_SCORE, 7))
  })
  test('is right when all that is there was named, and nothing else', () => {
    const round = { kinds: ['coolia', 'diatoms'] as const, seed: 1 }
    expect(judge(round, ['diatoms', 'coolia']).isRight).toBe(true)
    expect(judge(round, ['coolia'])).toMatchObject({
      isRight: false,
      there: [
        { kind: 'coolia', wasNamed: true, words: cellKind('coolia').givenAwayBy },
        { kind: 'diatoms', wasNamed: false },
      ],
    })
    expect(judge(round, ['diatoms', 'coolia', 'ostreopsis'])).toMatchObject({
      isRight: false,
      notThere: [{ kind: 'ostreopsis', words: expect.stringContaining('spins') as string }],
    })
  })
  test('scores, and asks more often what was missed', () => {
    const round = { kinds: ['coolia'] as const, seed: 1 }
    let score = scored(scored(NO_SCORE, round, ['coolia']), round, ['coolia'])
    expect(score).toEqual({ rounds: 2, right: 2, inARow: 2, kinds: { coolia: { seen: 2, right: 2 } } })
    score = scored(score, round, ['prorocentrum'])
    expect(score).toMatchObject({ rounds: 3, right: 2, inARow: 0, kinds: { coolia: { seen: 3, right: 2 } } })
    const known = Object.fromEntries(ASKED_KINDS.map((kind) => [kind, { seen: 20, right: kind === 'coolia' ? 0 : 20 }]))
    const asked = Array.from({ length: 300 }, (_, seed) => nextRound({ ...score, kinds: known }, seed))
    const often = (kind: string, from: typeof asked) => from.filter(({ kinds }) => kinds[0] === kind).length
    expect(often('coolia', asked)).toBeGreaterThan(1.5 * often('diatoms', asked))
  })
  test('knows a score from something else that was stored', () => {
    expect(isScore({ rounds: 2, right: 1, inARow: 0, kinds: { coolia: { seen: 1, right: 1 } } })).toBe(true)
    for (const other of [
      null,
      3,
      'score',
      {},
      { rounds: 1, right: -1, inARow: 0, kinds: {} },
      { ...NO_SCORE, kinds: { a: null } },
    ])
      expect(isScore(other)).toBe(false)
  })
})
