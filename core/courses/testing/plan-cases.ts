import { planCourse } from './plans.ts'

type Course = ReturnType<typeof planCourse>
/** Writes what makes a case. */
export type Say = (it: Course) => void

const part = (partId: string, control = false) => ({
  kind: 'part-setup' as const,
  happened: '2026-10-20T00:00:00.000Z',
  partId,
  tankId: 'tank',
  what: 'patch' as const,
  name: partId,
  ...(control && { control: true }),
})
/** The patches of every case: two treated, one left alone. */
export const PARTS = [part('A'), part('B'), part('C', true)]

const read =
  (parameter: string, ...values: [day: number, value: number][]): Say =>
  (it) => {
    for (const [day, value] of values) it.read(day, parameter, value)
  }
const count =
  (measure: Parameters<Course['count']>[1], ...values: [day: number, value: number][]): Say =>
  (it) => {
    for (const [day, value] of values) it.count(day, measure, value)
  }
const stage =
  (day: number, A: number, B: number, C = 0): Say =>
  (it) =>
    it.stage(day, { A, B, C })
const sessions =
  (...days: number[]): Say =>
  (it) => {
    for (const day of days)
      it.write({
        kind: 'dose',
        ...it.at(day),
        tankId: 'tank',
        ingredient: 'peroxide',
        amount: 1,
        unit: 'mL',
        massMg: 30,
      })
  }
const sign =
  (id: string, day: number): Say =>
  (it) =>
    it.write({ kind: 'sighting', ...it.at(day), tankId: 'tank', animalIds: [], signs: [{ sign: id, present: true }] })
const both =
  (...says: Say[]): Say =>
  (it) => {
    for (const say of says) say(it)
  }
const weeks = (value: number, number: number, from = 7): [number, number][] =>
  Array.from({ length: number }, (_, i) => [from + 7 * i, value])

/** A plan, a rule, the day it is looked at; what just makes it hold, and what just does not. */
export const CASES: readonly [
  plan: string,
  rule: string,
  day: number,
  holds: Say,
  not: Say,
  options?: Record<string, string>,
][] = [
  ['peroxide-spot', 'success', 12, stage(11, 4, 4, 3), stage(11, 4, 3, 3)],
  ['peroxide-spot', 'escalate-1', 5, both(sessions(1, 2, 3), stage(4, 0, 0)), both(sessions(1, 2, 3), stage(4, 0, 1))],
  ['peroxide-emersed', 'escalate-1', 15, stage(14, 0, 0), stage(14, 0, 1)],
  ['peroxide-emersed', 'success', 15, stage(14, 5, 5), stage(14, 5, 4)],
  ['peroxide-bench', 'escalate-1', 21, stage(20, 5, 4), stage(20, 5, 5)],
  ['turf-in-tank', 'stop-3', 3, sign('surface-gasping', 2.5), sign('surface-gasping', 1.9)],
  ['turf-in-tank', 'escalate-1', 4, both(sessions(1, 2, 3), stage(3, 1, 1)), both(sessions(1, 2, 3), stage(3, 1, 2))],
  ['turf-in-tank', 'escalate-2', 14, stage(13, 4, 3), stage(13, 4, 4)],
  [
    'peroxide-lift-and-spot',
    'escalate-1',
    4,
    both(sessions(1, 2, 3), stage(3, 0, 0)),
    both(sessions(1, 2), stage(3, 0, 0)),
  ],
  ['peroxide-lift-and-spot', 'success', 20, stage(19, 5, 4, 3), stage(19, 4, 4, 4)],
  ['peroxide-tank', 'stop-1', 2, sign('surface-gasping', 1.5), sign('flashing', 1.5)],
  ['peroxide-tank', 'stop-2', 2, read('tan', [1, 0.25]), read('tan', [1, 0.24])],
  ['peroxide-tank', 'escalate-1', 5, count('coverage', [0.6, 40], [5, 40]), count('coverage', [0.6, 40], [5, 39])],
  ['peroxide-tank', 'success', 5, count('coverage', [0.6, 40], [5, 19]), count('coverage', [0.6, 40], [5, 20])],
  ['leather-drip', 'escalate-1', 14, count('polyps', [13, 0]), count('polyps', [13, 1])],
  ['leather-drip', 'success', 10, count('polyps', [7, 2], [8, 2], [9, 2]), count('polyps', [7, 1], [8, 2], [9, 2])],
  ['cyano-fresh-blackout', 'stop-1', 2, read('tan', [1, 0.25]), read('tan', [1, 0.24])],
  ['cyano-fresh-blackout', 'stop-2', 2, sign('surface-gasping', 1.5), sign('surface-gasping', 0.9)],
  ['cyano-fresh-blackout', 'escalate-1', 9, count('coverage', [8, 21]), count('coverage', [8, 20])],
  ['cyano-fresh-blackout', 'success', 14, count('coverage', [14, 1.9]), count('coverage', [14, 2])],
  ['blackout-marine', 'stop-1', 2, read('no3', [-1, 8], [1.5, 16.1]), read('no3', [-1, 8], [1.5, 16])],
  ['blackout-marine', 'stop-2', 2, read('po4', [-1, 0.08], [1.5, 0.161]), read('po4', [-1, 0.07], [1.5, 0.15])],
  ['blackout-marine', 'stop-3', 2, read('no3', [0.9, 5], [1.9, 15.1]), read('no3', [0.9, 5], [1.9, 15])],
  ['blackout-marine', 'stop-4', 2, read('tan', [1, 0.25]), read('tan', [1, 0.24])],
  ['blackout-marine', 'success', 3, count('coverage', [2, 9]), count('coverage', [2, 10])],
  ['dino-uv', 'stop-1', 5, read('no3', [4, 1.9]), read('no3', [4, 2])],
  ['dino-uv', 'stop-2', 5, read('po4', [4, 0.02]), read('po4', [4, 0.03])],
  ['dino-uv', 'escalate-1', 10, count('cells', [0.6, 20], [9, 10.5]), count('cells', [0.6, 20], [9, 10])],
  [
    'dino-uv',
    'success',
    60,
    count('cells', [0.6, 100], ...weeks(4, 3, 40)),
    count('cells', [0.6, 100], [40, 5], ...weeks(4, 2, 47)),
  ],
  ['dino-sand', 'stop-1', 5, read('sio2', [4, 3.1]), read('sio2', [4, 3])],
  ['dino-sand', 'stop-2', 5, read('alk-kh', [3.9, 8], [4.9, 8.6]), read('alk-kh', [3.9, 8], [4.9, 8.5])],
  [
    'dino-sand',
    'escalate-1',
    28,
    count('diatom-share', [0.6, 0.2], [27, 0.2]),
    count('diatom-share', [0.6, 0.2], [27, 0.25]),
  ],
  [
    'dino-sand',
    'success',
    90,
    count('diatom-share', ...weeks(0.9, 3, 70)),
    count('diatom-share', [70, 0.89], ...weeks(0.9, 2, 77)),
  ],
  ['siphonous-fluconazole', 'stop-2', 5, read('no3', [0.6, 5], [4, 10.1]), read('no3', [0.6, 5], [4, 10])],
  ['siphonous-fluconazole', 'escalate-1', 14, stage(13, 1, 1), stage(13, 1, 2)],
  [
    'cyano-marine-conditions',
    'escalate-1',
    14,
    count('coverage', [0.6, 50], [14, 41]),
    count('coverage', [0.6, 50], [14, 40]),
  ],
  [
    'cyano-marine-conditions',
    'success',
    42,
    count('coverage', ...weeks(4, 4, 14)),
    count('coverage', [14, 5], ...weeks(4, 3, 21)),
  ],
  ['algae-manual-grazers', 'stop-1', 5, read('po4', [4, 0.02]), both(read('po4', [4, 0.03]), read('no3', [4, 2]))],
  [
    'algae-manual-grazers',
    'escalate-1',
    14,
    count('coverage', [0.6, 50], [14, 41]),
    count('coverage', [0.6, 50], [13.5, 40]),
  ],
  [
    'algae-manual-grazers',
    'success',
    60,
    count('coverage', ...weeks(4.9, 4, 30)),
    count('coverage', [44, 4], [48, 4], [52, 4], [56, 4]),
  ],
  [
    'fresh-conditions',
    'escalate-1',
    28,
    count('coverage', [0.6, 30], [28, 30]),
    count('coverage', [0.6, 30], [28, 29]),
  ],
  ['water-clear', 'stop-1', 2, sign('surface-gasping', 1.5), sign('surface-gasping', 0.5)],
  ['water-clear', 'escalate-1', 7, count('visibility-cm', [6.5, 100]), count('visibility-cm', [6.5, 101])],
  ['water-clear', 'success', 5, count('visibility-cm', [4.5, 101]), count('visibility-cm', [4.5, 100])],
  ['bloom-aerate', 'stop-1', 2, read('tan', [1, 0.25]), read('tan', [1, 0.2])],
  ['watch-wait', 'escalate-1', 30, count('coverage', [0.6, 10], [28, 10]), count('coverage', [0.6, 10], [28, 9])],
  ['bubble-rock', 'escalate-1', 14, count('pest-count', [14, 21]), count('pest-count', [14, 20])],
  ['bubble-rock', 'success', 64, count('pest-count', ...weeks(0, 8)), count('pest-count', [7, 1], ...weeks(0, 7, 14))],
  ['planaria-fenbendazole', 'stop-1', 2, read('tan', [1, 0.25]), read('tan', [1, 0.24])],
  ['planaria-fenbendazole', 'escalate-1', 2, count('alive', [2, 1]), count('alive', [2, 0])],
  [
    'planaria-fenbendazole',
    'success',
    28.5,
    both(count('alive', [3, 0]), count('pest-count', [14, 0], [28, 0])),
    both(count('alive', [3, 0]), count('pest-count', [14, 1], [28, 0])),
  ],
  ['anemone-bench', 'escalate-1', 10, count('pest-count', [10, 11]), count('pest-count', [10, 10])],
  [
    'anemone-bench',
    'success',
    42,
    count('pest-count', [14, 0], [21, 0], [28, 0], [35, 0], [41, 0]),
    count('pest-count', [14.1, 0], [21, 0], [28, 0], [35, 0], [41, 0]),
  ],
  ['anemone-mop-up', 'stop-1', 5, read('ph', [4, 8.6]), read('ph', [4, 8.5])],
  ['anemone-mop-up', 'stop-2', 5, read('ph', [3.9, 8.1], [4.9, 8.35]), read('ph', [3.9, 8.1], [4.9, 8.25])],
  [
    'anemone-mop-up',
    'escalate-1',
    10,
    count('pest-count', [0.6, 20], [10, 11]),
    count('pest-count', [0.6, 20], [10, 10]),
  ],
  [
    'anemone-mop-up',
    'escalate-1',
    45,
    count('pest-count', [0.6, 20], [44, 20]),
    count('pest-count', [0.6, 20], [44, 19]),
    { way: 'predators' },
  ],
  [
    'anemone-mop-up',
    'success',
    40,
    count('pest-count', [12, 0], [19, 0], [26, 0], [33, 0], [39, 0]),
    count('pest-count', [12, 1], [19, 0], [26, 0], [33, 0], [39, 0]),
  ],
  [
    'vermetid-control',
    'escalate-1',
    60,
    count('pest-count', [0.6, 8], [59, 9]),
    count('pest-count', [0.6, 8], [59, 8]),
  ],
  ['vermetid-control', 'success', 60, count('pest-count', [59, 4]), count('pest-count', [59, 5])],
  [
    'hydroid-control',
    'success',
    50,
    count('pest-count', [22, 0], [29, 0], [36, 0], [43, 0], [49, 0]),
    count('pest-count', [22.1, 0], [29, 0], [36, 0], [43, 0], [49, 0]),
  ],
  [
    'asterina-manage',
    'success',
    21,
    count('pest-count', [0.6, 20], [21, 20]),
    count('pest-count', [0.6, 20], [21, 21]),
  ],
  ['bristleworm-manage', 'success', 14, count('pest-count', [14, 9]), count('pest-count', [14, 10])],
  ['flatworm-siphon', 'stop-1', 3, sign('breathing-fast', 2.5), sign('breathing-fast', 1.5)],
  [
    'flatworm-siphon',
    'escalate-1',
    7,
    count('pest-count', [0.6, 20], [7, 41]),
    count('pest-count', [0.6, 20], [7, 40]),
  ],
  [
    'flatworm-siphon',
    'success',
    40,
    count('pest-count', [12, 4], [19, 4], [26, 4], [33, 4], [39, 4]),
    count('pest-count', [12, 5], [19, 4], [26, 4], [33, 4], [39, 4]),
  ],
  ['trap-and-pick', 'escalate-1', 21, count('pest-count', [20, 1]), count('pest-count', [20, 0])],
  ['feed-less', 'escalate-1', 30, count('pest-count', [0.6, 20], [29, 20]), count('pest-count', [0.6, 20], [29, 19])],
  ['feed-less', 'success', 30, count('pest-count', [0.6, 20], [29, 6]), count('pest-count', [0.6, 20], [29, 7])],
  ['element-correct', 'stop-1', 3, read('k', [1.9, 360], [2.9, 381]), read('k', [1.9, 360], [2.9, 380])],
  [
    'element-correct',
    'stop-1',
    3,
    read('alk-kh', [1.9, 7], [2.9, 8.1]),
    read('alk-kh', [1.9, 7], [2.9, 8]),
    { element: 'alk-kh' },
  ],
  ['element-correct', 'escalate-1', 5, read('k', [0.6, 350], [5, 350]), read('k', [0.6, 350], [5, 355])],
  [
    'element-correct',
    'success',
    20,
    read('k', [13, 380], [16, 385], [19, 390]),
    read('k', [13, 369], [16, 385], [19, 390]),
  ],
  [
    'nutrient-lower',
    'stop-1',
    3,
    read('no3', [1.9, 40], [2.9, 34.9]),
    both(read('no3', [1.9, 40], [2.9, 35]), read('po4', [1.9, 0.1], [2.9, 0.1])),
  ],
  [
    'nutrient-lower',
    'escalate-1',
    14,
    both(read('no3', [0.6, 40], [13, 40]), read('po4', [0.6, 0.3], [13, 0.3])),
    both(read('no3', [0.6, 40], [13, 39]), read('po4', [0.6, 0.3], [13, 0.3])),
  ],
  [
    'nutrient-lower',
    'success',
    30,
    both(
      read('no3', [16, 20], [19, 18], [22, 15], [25, 12], [28, 10]),
      read('po4', [16, 0.1], [19, 0.1], [22, 0.1], [25, 0.1], [28, 0.1]),
    ),
    both(
      read('no3', [16, 20], [19, 18], [22, 15], [25, 12], [28, 1.9]),
      read('po4', [16, 0.1], [19, 0.1], [22, 0.1], [25, 0.1], [28, 0.1]),
    ),
  ],
  ['nutrient-raise', 'stop-1', 5, read('po4', [4, 0.21]), read('po4', [4, 0.2])],
  ['nutrient-raise', 'stop-2', 5, read('no3', [4, 25.1]), read('no3', [4, 25])],
  [
    'nutrient-raise',
    'success',
    20,
    both(read('no3', [13, 5], [16, 5], [19, 6]), read('po4', [13, 0.05], [16, 0.05], [19, 0.06])),
    both(read('no3', [13, 5], [16, 5], [19, 6]), read('po4', [13, 0.04], [16, 0.05], [19, 0.06])),
  ],
  ['coral-rest', 'escalate-1', 21, count('colour', [0.6, 3], [21, 2]), count('colour', [0.6, 3], [21, 3])],
  ['aftercare', 'escalate-1', 14, count('coverage', [14, 5]), count('coverage', [14, 4.9])],
  ['aftercare', 'escalate-1', 14, count('pest-count', [14, 1]), count('pest-count', [14, 0]), { watch: 'pest-count' }],
  ['coral-rest', 'success', 30, count('colour', [0.6, 3], [28, 4]), count('colour', [0.6, 3], [28, 3.9])],
]
