import { definitionById, type Definition } from '../../catalogue/courses/definitions.ts'
import { bandFor, parameterById, PARAMETERS } from '../../catalogue/parameter.ts'
import { measureScale } from '../../catalogue/measures.ts'
import { isActOff } from '../../courses/acts/act-off.ts'
import type { ActRead } from '../../courses/acts/act-read.ts'
import { ruleWord } from '../../courses/acts/task-contents.ts'
import { readAct, type ActAnswer } from '../../courses/acts/read-act.ts'
import { WHOLE_TANK, partsOfCount } from '../../courses/acts/read-count.ts'
import { courseById } from '../../courses/course.ts'
import { coursePlan, isDrugPlan, type CoursePlan } from '../../courses/plan.ts'
import { readStartForm, startDefaults, judgeStart } from '../../courses/start-form/read-start-form.ts'
import { concernKey } from '../../courses/start-form/start-form.ts'
import { runOf, type RuleState } from '../../courses/rules/rules.ts'
import type { CourseTask } from '../../courses/tasks.ts'
import { tankById } from '../../household/tanks.ts'
import { contentFault } from '../../journal/check.ts'
import type { Content } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { readLine } from '../../logline/read.ts'
import { RandomStream } from '../../numbers/random.ts'
import { concernsOf } from '../../safety/concerns.ts'
import { isGuarded } from '../../safety/guarded-kinds.ts'
import { NO_ANSWER } from '../../safety/answers.ts'
import { SHORT_LOOKS } from '../../catalogue/watching.data.ts'
import { shortLookContent } from '../../watching/short-looks.ts'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../../time/zone.ts'
import { householdFor, KEEPER_SETTINGS, MAIN } from './household.ts'
import { ModelWater } from './model-water.ts'
import { countedOn, stageOn } from './outcome.ts'
import type { Temperament } from './temperaments.ts'

/** Something that happened in a life, in a line. */
export interface DiaryLine {
  at: number
  words: string
}

/** What the simulated keeper met that a keeper should not meet. */
export interface Trouble {
  at: number
  /** Which of the laws it is a case for. */
  law: 'late' | 'rule' | 'concern' | 'stuck' | 'hours' | 'fault'
  words: string
}

/** A course as it was lived from its start form to its close. */
export interface Life {
  definition: Definition
  options: Readonly<Record<string, string>>
  diary: DiaryLine[]
  troubles: Trouble[]
  journal: Journal
  startedAt: number
  /** When it was closed, ms; null where its close was never offered within twice its days and 60. */
  closedAt: number | null
  /** The course as it stood before its close was pressed, and after. */
  atClose: CoursePlan | null
  after: CoursePlan | null
  done: Map<string, number>
}

const COURSE_ID = 'life'
const { clock } = KEEPER_SETTINGS
/** The wall clock's hours at which the keeper is up. */
const UP = { from: 7 * 60, until: 22 * 60 }
const MOST_ROUNDS = 6000

/** Waters that begin outside their band, by what the plan is to put right. */
const FIRST_LEVELS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'nutrient-lower': { no3: 35, po4: 0.25 },
  'nutrient-raise': { no3: 0.5, po4: 0.01 },
  'element-correct': { k: 350, ca: 380, mg: 1200, 'alk-kh': 6.8 },
}
const DRIFTS: Readonly<Record<string, Readonly<Record<string, { perDay: number; until: number }>>>> = {
  'nutrient-lower': { no3: { perDay: -1.5, until: 6 }, po4: { perDay: -0.01, until: 0.06 } },
}

/** What the log line calls a test whose heading it does not read. */
const WORDS: Readonly<Record<string, string>> = { tan: 'tan', nh3: 'badge' }

/** What the log line asks for where no kit is known. */
const UNITS: Readonly<Record<string, string>> = { temp: 'C', tan: ' NH4' }

/** A course's life under construction. */
export class Keeper {
  readonly journal = new Journal()
  readonly diary: DiaryLine[] = []
  readonly troubles: Trouble[] = []
  readonly done = new Map<string, number>()
  private readonly record = scribe('2025-01-01T00:00:00Z').record
  private readonly waters = new Map<string, ModelWater>()
  private readonly stuck = new Set<string>()
  /** Rules that were asked about and answered at the start. */
  private readonly asked = new Set<string>()
  readonly random: RandomStream

  constructor(
    readonly definition: Definition,
    private readonly options: Readonly<Record<string, string>>,
    readonly temperament: Temperament,
    seed: number,
    readonly startedAt: number,
  ) {
    this.random = new RandomStream(seed)
    for (const content of householdFor(definition, startedAt)) this.write(content)
  }

  private write(content: Content): void {
    const fault = contentFault(content)
    if (fault) this.trouble(Date.parse(content.happened), 'fault', `${content.kind}: ${JSON.stringify(fault)}`)
    this.journal.add([this.record(content)])
    for (const water of this.waters.values()) water.take(content)
  }

  private trouble(at: number, law: Trouble['law'], words: string): void {
    this.troubles.push({ at, law, words })
    this.diary.push({ at, words: `! ${law}: ${words}` })
  }

  private waterOf(tankId: string): ModelWater {
    let water = this.waters.get(tankId)
    if (!water) {
      const kind = tankById(this.journal, tankId)?.water === 'freshwater' ? 'freshwater' : 'marine'
      const isMain = tankId === MAIN
      water = new ModelWater(
        this.journal,
        tankId,
        kind,
        this.startedAt - MS_PER_DAY,
        isMain ? FIRST_LEVELS[this.definition.id] : undefined,
        isMain ? DRIFTS[this.definition.id] : undefined,
      )
      this.waters.set(tankId, water)
    }
    return water
  }

  plan(at: number, days = 2): CoursePlan {
    return coursePlan(this.journal, courseById(this.journal, COURSE_ID)!, KEEPER_SETTINGS, at, clock.dayOf(at) + days)
  }

  /** Logs a test by the log line, as the model's water shows it. */
  test(tankId: string, parameter: string, at: number): void {
    const { decimals, short } = parameterById(parameter)!
    const shown = Math.max(0, this.waterOf(tankId).tested(parameter, at)).toFixed(decimals)
    const name = tankById(this.journal, tankId)!.short
    const word = WORDS[parameter] ?? short
    this.line(`${name} ${word} ${shown}${UNITS[parameter] ?? ''}`, at)
  }

  /** Logs a line; what the water speaks against is written down as trouble, and logged as it happened. */
  line(text: string, at: number): boolean {
    const context = { journal: this.journal, settings: KEEPER_SETTINGS, now: at }
    const read = readLine(text, context)
    const kept = read.state === 'keep' ? read : readLine(`${text} anyway because it was read again`, context)
    if (!('contents' in kept)) {
      this.trouble(at, 'stuck', `“${text}” is not taken: ${JSON.stringify(read).slice(0, 200)}`)
      return false
    }
    if (read.state !== 'keep') this.trouble(at, 'concern', `“${text}”: ${'question' in read ? read.question : ''}`)
    for (const content of kept.contents) this.write(content)
    return true
  }

  /** Starts the course by its form. @returns whether it began */
  start(): boolean {
    const at = this.startedAt
    for (const { id, bands } of PARAMETERS) {
      const { water } = tankById(this.journal, MAIN)!
      if (bandFor(parameterById(id)!, undefined) !== undefined || Object.keys(bands).length > 0)
        if (this.isTestedIn(id, water)) this.test(MAIN, id, at - MS_PER_HOUR)
    }
    const place = { journal: this.journal, settings: KEEPER_SETTINGS, now: at }
    const values = startDefaults(place, { definitionId: this.definition.id, tankId: MAIN })
    for (const { role } of this.definition.roles) if (role !== 'main') values.tanks[role] = role
    Object.assign(values.options, this.options)
    values.isLoadAccepted = true
    for (const concern of judgeStart(values, place).concerns) {
      values.answers[concernKey(concern)] = {
        ...NO_ANSWER,
        why: 'there is no other way here',
        vetAgreed: true,
        isRead: true,
      }
      this.asked.add(concern.rule)
      this.diary.push({ at, words: `asked at the start: ${concern.what} (${concern.severity})` })
    }
    const read = readStartForm(values, place, COURSE_ID)
    if ('problems' in read) {
      this.trouble(at, 'stuck', `it cannot be started: ${JSON.stringify(read.problems)}`)
      return false
    }
    for (const content of read.contents) this.write(content)
    return true
  }

  private isTestedIn(parameter: string, water: string): boolean {
    if (parameter === 'copper') return false
    if (water === 'freshwater') return !['ca', 'mg', 'k', 'sio2', 'salinity', 'nh3'].includes(parameter)
    return !['gh', 'nh3'].includes(parameter)
  }

  private day(at: number): number {
    return clock.dayOf(at) - clock.dayOf(this.startedAt)
  }

  private answerFor(plan: CoursePlan, task: CourseTask, at: number): ActAnswer {
    const day = this.day(at)
    const isFailing = this.temperament.isFailing ?? false
    switch (task.act) {
      case 'bath':
        return { litres: task.dip ? 2 : (task.bath?.litres ?? 8), amount: 4 }
      case 'count': {
        if (task.measure === 'patch-stage')
          return {
            counted: Object.fromEntries(
              (plan.series?.parts ?? []).map(({ part }) => [part.id, stageOn(day, part.control, isFailing)]),
            ),
          }
        if (plan.dips && task.measure !== 'head-count') return { hosts: null }
        const value = countedOn(this.definition, task.measure!, day, isFailing)
        const parts = partsOfCount(this.journal, plan, task)
        return {
          counted:
            parts.length > 0
              ? Object.fromEntries(parts.map(({ id }, i) => [id, shareOf(value, i, parts.length, task)]))
              : { [WHOLE_TANK]: value },
        }
      }
      default:
        return {}
    }
  }

  /** What a task tests, where it names nothing: the level it holds, the salinity, ammonia. */
  private testsOf(plan: CoursePlan, task: CourseTask): readonly string[] {
    if (task.parameters) return task.parameters
    if (task.step === 'ammonia') return ['tan', 'nh3']
    return plan.salinity ? ['salinity'] : ['copper']
  }

  /** Does a task by its own button. @returns whether it was done */
  act(plan: CoursePlan, task: CourseTask, at: number): boolean {
    this.diary.push({ at, words: `${task.step}: ${task.title}${task.state === 'late' ? ' (late)' : ''}` })
    if (task.act === 'read') {
      for (const parameter of this.testsOf(plan, task)) this.test(task.tankId, parameter, at)
      return true
    }
    if (task.act === 'change' && !task.change) {
      const { short } = tankById(this.journal, task.tankId)!
      return this.line(`${short} change 20%`, at)
    }
    const read = this.readTask(plan, task, at)
    if ('problems' in read || read.contents.length === 0) {
      this.trouble(at, 'stuck', `${task.id}: its button keeps nothing: ${JSON.stringify(read)}`)
      return false
    }
    for (const content of read.contents) {
      if (isGuarded(content))
        for (const { rule, severity, what, reason } of concernsOf(this.journal, content, { now: at }))
          if (severity !== 'note' && !this.asked.has(rule))
            this.trouble(at, 'concern', `${task.id}: ${severity}, ${what}: ${reason}`)
      this.write(content)
    }
    return true
  }

  private readTask(plan: CoursePlan, task: CourseTask, at: number): ActRead {
    const isRest = plan.course.definition.steps.some(({ due }) => 'by' in due && due.by === 'look-twice')
    if (task.act !== 'look' || !isRest) return readAct(this.journal, plan, task, this.answerFor(plan, task, at), at)
    const look = SHORT_LOOKS.find(({ measures }) => measures.includes('appetite'))!
    return {
      contents: [
        shortLookContent(
          look,
          { present: [], breathsPerMinute: 60, appetite: 4, faeces: 'normal', flashes: 0 },
          { at, tankId: task.tankId, animalIds: task.animalIds ?? [], courseId: COURSE_ID },
        ),
      ],
    }
  }

  /** Whether something that a due task waits for was just answered: a meal is watched, a word that only the keeper can give is given. */
  private answerWaits(plan: CoursePlan, at: number): boolean {
    const waiting = plan.tasks.filter(
      ({ state, waitsFor, notBefore }) => state !== 'ahead' && waitsFor && notBefore <= at,
    )
    const asked = plan.rules.filter(
      ({ rule, state, canBeSaid }) =>
        state === 'ask' && canBeSaid && waiting.some(({ waitsFor }) => waitsFor!.includes(rule)),
    )
    for (const { id, rule } of asked) {
      this.diary.push({ at, words: `says: ${rule}` })
      this.write(
        ruleWord(
          plan.course,
          id,
          runOf({ drug: isDrugPlan(plan) ? plan : null, rounds: plan.rounds, salinity: plan.salinity }),
          at,
        ),
      )
    }
    return asked.length > 0
  }

  /** When this keeper does a task, ms. */
  private timeFor(task: CourseTask): number {
    return this.temperament.timeFor(task, this.random)
  }

  live(): Life {
    const life = (closedAt: number | null, atClose: CoursePlan | null, after: CoursePlan | null): Life => ({
      definition: this.definition,
      options: this.options,
      diary: this.diary,
      troubles: this.troubles,
      journal: this.journal,
      startedAt: this.startedAt,
      closedAt,
      atClose,
      after,
      done: this.done,
    })
    if (!this.start()) return life(null, null, null)
    const lastDay = this.definition.days * 2 + 60
    let now = this.startedAt
    const late = new Set<string>()
    const broken = new Set<string>()
    for (let round = 0; round < MOST_ROUNDS; round++) {
      if (this.day(now) > lastDay) break
      const plan = this.plan(now)
      for (const task of plan.tasks)
        if (task.state === 'late' && !late.has(task.id)) {
          late.add(task.id)
          this.trouble(now, 'late', `${task.id}: ${task.title}, until ${new Date(task.notAfter).toISOString()}`)
        }
      for (const rule of [...plan.rules, ...plan.events])
        if (isMet(rule) && !broken.has(rule.id)) {
          broken.add(rule.id)
          this.trouble(now, 'rule', `${rule.id} (${rule.role}) ${rule.state}: ${rule.rule}; ${rule.says}`)
        }
      if (this.answerWaits(plan, now)) continue
      const open = plan.tasks.filter(
        (task) => !this.stuck.has(task.id) && !this.temperament.skips?.(task, this.day(now)),
      )
      const ready = open.find((task) => !isActOff(task, now) && this.timeFor(task) <= now)
      if (ready) {
        const isClose = ready.act === 'close'
        if (this.act(plan, ready, now)) this.done.set(ready.step, (this.done.get(ready.step) ?? 0) + 1)
        else this.stuck.add(ready.id)
        if (isClose) return life(now, plan, this.plan(now + MS_PER_DAY, 60))
        const again = this.plan(now).tasks.find(({ id, state }) => id === ready.id && state !== 'ahead')
        if (again && !this.stuck.has(ready.id)) {
          this.trouble(now, 'stuck', `${ready.id} is still there after it was done: ${again.why}`)
          this.stuck.add(ready.id)
        }
        now += MS_PER_MINUTE
        continue
      }
      const times = open.map((task) => this.timeFor(task)).filter((at) => at > now)
      const tomorrow = clock.instantAt(clock.dayOf(now) + 1, UP.from)
      now = Math.min(tomorrow, ...times)
    }
    return life(null, null, null)
  }
}

/** What is counted is shared out among the parts; a score is each one's own. */
const shareOf = (value: number, i: number, parts: number, task: CourseTask): number =>
  measureScale(task.measure!).entry === 'named' ? value : Math.floor(value / parts) + (i < value % parts ? 1 : 0)

/** Whether a rule says that something went wrong; a gate that is shut for now is none of it. */
const isMet = ({ role, state }: RuleState): boolean =>
  role === 'stop' || role === 'event' || role === 'escalate' ? state === 'holds' : role !== 'gate' && state === 'broken'

/** A definition by its id; throws where there is none. */
export function definitionOf(id: string): Definition {
  const definition = definitionById(id)
  if (!definition) throw new Error(`no definition is called ${id}`)
  return definition
}
