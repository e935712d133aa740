import type { Definition } from '../../catalogue/courses/definitions.ts'
import { bandFor, parameterById, PARAMETERS } from '../../catalogue/parameter.ts'
import { CORAL_DIPS } from '../../catalogue/corals/coral-dips.data.ts'
import { measureScale } from '../../catalogue/measures.ts'
import type { ActRead } from '../../courses/acts/act-read.ts'
import { ruleWord } from '../../courses/acts/task-contents.ts'
import { crewFor } from '../../courses/acts/read-switches.ts'
import { readAct, type ActAnswer } from '../../courses/acts/read-act.ts'
import { WHOLE_TANK, partsOfCount } from '../../courses/acts/read-count.ts'
import { dipOf, mayHaveDip } from '../../courses/acts/read-dip.ts'
import { testsOfTask } from '../../courses/board/shared-tasks.ts'
import { courseById } from '../../courses/course.ts'
import { coursePlan, isDrugPlan, type CoursePlan } from '../../courses/plan.ts'
import { readStartForm, startDefaults, judgeStart } from '../../courses/start-form/read-start-form.ts'
import { concernKey } from '../../courses/start-form/start-form.ts'
import { runOf } from '../../courses/rules/rules.ts'
import type { CourseTask } from '../../courses/tasks.ts'
import { tankById } from '../../household/tanks.ts'
import { contentFault } from '../../journal/check.ts'
import type { Content } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { readLine } from '../../logline/read.ts'
import { concernsOf } from '../../safety/concerns.ts'
import { isGuarded } from '../../safety/guarded-kinds.ts'
import { NO_ANSWER } from '../../safety/answers.ts'
import { SHORT_LOOKS } from '../../catalogue/watching.data.ts'
import { shortLookContent } from '../../watching/short-looks.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { broughtBeside, householdFor, KEEPER_SETTINGS, MAIN } from './household.ts'
import { DRIFTS, FIRST_LEVELS, ModelWater } from './model-water.ts'
import { countedOn, stageOn } from './outcome.ts'
import type { Temperament } from './temperaments.ts'

/** Something that happened in a life, in a line. */
export interface DiaryLine {
  at: number
  words: string
}

/** What a course said at an instant. */
export interface SeenDay {
  at: number
  plan: CoursePlan
}

/** What the simulated keeper met that a keeper should not meet. */
export interface Trouble {
  at: number
  /** Which of the laws it is a case for. */
  law: 'late' | 'rule' | 'concern' | 'stuck' | 'fault'
  words: string
}

export const COURSE_ID = 'life'
const { clock } = KEEPER_SETTINGS

/** How wide a sore is by a day of its treatment, mm. */
const lesionOn = (day: number, isFailing: boolean): number => Math.max(0, isFailing ? 6 + 2 * day : 8 - day)

/** What the log line calls a test whose heading it does not read. */
const WORDS: Readonly<Record<string, string>> = { tan: 'tan', nh3: 'badge' }

/** What the log line asks for where no kit is known. */
const UNITS: Readonly<Record<string, string>> = { temp: 'C', tan: ' NH4' }

/** A course's life under construction. */
export class Keeper {
  readonly journal: Journal
  readonly diary: DiaryLine[]
  readonly troubles: Trouble[]
  readonly done = new Map<string, number>()
  private readonly record: ReturnType<typeof scribe>['record']
  private readonly waters: Map<string, ModelWater>
  readonly stuck = new Set<string>()
  /** Rules that were asked about and answered at the start. */
  private readonly asked: Set<string>

  /**
   * @param beside the keeper of a course that runs or ran in the same tank: both write one journal and test one water
   * @param besideId the definition that is to be begun beside this one
   */
  constructor(
    readonly definition: Definition,
    private readonly options: Readonly<Record<string, string>>,
    readonly temperament: Temperament,
    readonly seed: number,
    readonly startedAt: number,
    readonly beside: Keeper | null = null,
    private readonly besideId?: string,
  ) {
    this.journal = beside?.journal ?? new Journal()
    this.diary = beside?.diary ?? []
    this.troubles = beside?.troubles ?? []
    this.record = beside?.record ?? scribe('2025-01-01T00:00:00Z').record
    this.waters = beside?.waters ?? new Map<string, ModelWater>()
    this.asked = beside?.asked ?? new Set<string>()
    const brought = beside ? broughtBeside(definition, this.journal, startedAt) : householdFor(definition, startedAt)
    for (const content of brought) this.write(content)
  }

  /** The first course of a household is `life`, the next ones `life-2`, `life-3`. */
  get courseId(): string {
    return this.number === 1 ? COURSE_ID : `${COURSE_ID}-${this.number}`
  }

  private get number(): number {
    return this.beside ? this.beside.number + 1 : 1
  }

  write(content: Content): void {
    const fault = contentFault(content)
    if (fault) this.trouble(Date.parse(content.happened), 'fault', `${content.kind}: ${JSON.stringify(fault)}`)
    this.journal.add([this.record(content)])
    for (const water of this.waters.values()) water.take(content)
  }

  trouble(at: number, law: Trouble['law'], words: string): void {
    this.troubles.push({ at, law, words })
    this.diary.push({ at, words: `! ${law}: ${words}` })
  }

  waterOf(tankId: string): ModelWater {
    let water = this.waters.get(tankId)
    if (!water) {
      const kind = tankById(this.journal, tankId)?.water === 'freshwater' ? 'freshwater' : 'marine'
      const isMain = tankId === MAIN
      water = new ModelWater(
        this.journal,
        tankId,
        kind,
        this.startedAt - MS_PER_DAY,
        isMain ? this.ofBoth(FIRST_LEVELS) : undefined,
        isMain ? this.ofBoth(DRIFTS) : undefined,
      )
      this.waters.set(tankId, water)
    }
    return water
  }

  /** What begins in the water for this course and the one that is to run beside it. */
  private ofBoth<T>(rows: Readonly<Record<string, Readonly<Record<string, T>>>>): Readonly<Record<string, T>> {
    return { ...rows[this.definition.id], ...(this.besideId !== undefined && rows[this.besideId]) }
  }

  plan(at: number, days = 2): CoursePlan {
    return coursePlan(
      this.journal,
      courseById(this.journal, this.courseId)!,
      KEEPER_SETTINGS,
      at,
      clock.dayOf(at) + days,
    )
  }

  /** Logs a test by the log line, as the model's water shows it. */
  test(tankId: string, parameter: string, at: number): void {
    const { decimals, short } = parameterById(parameter)!
    const water = this.waterOf(tankId)
    const shown = Math.max(0, water.tested(parameter, at)).toFixed(decimals)
    const missing = Number(water.missingL.toFixed(2))
    const name = tankById(this.journal, tankId)!.short
    const word = WORDS[parameter] ?? short
    this.line(`${name} ${word} ${shown}${UNITS[parameter] ?? ''}${missing > 0 ? ` level down ${missing}l` : ''}`, at)
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

  /** What the course shows on a day of a blind or unlucky life, to be judged by its laws. */
  readonly seen: SeenDay[] = []
  /** Whether the misfortune of an unlucky life has come. */
  isBefallen = false

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
    const read = readStartForm(values, place, this.courseId)
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

  day(at: number): number {
    return clock.dayOf(at) - clock.dayOf(this.startedAt)
  }

  private answerFor(plan: CoursePlan, task: CourseTask, at: number): ActAnswer {
    const day = this.day(at)
    const isFailing = this.temperament.isFailing ?? false
    switch (task.act) {
      case 'bath':
        return task.dip ? { litres: 2, amount: 4, dipId: this.dipFor(plan, task) } : { litres: task.bath?.litres ?? 8 }
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
      case 'close':
        return { why: 'its weeks are over' }
      case 'tick': {
        // Grazers come back one at a time.
        const animalIds = crewFor(this.journal, task)
          .slice(0, 1)
          .map(({ id }) => id)
        return task.moves === 'crew-back' ? { switches: { crew: { animalIds, toTankId: '' } } } : {}
      }
      case 'look':
        return {
          lesions: Object.fromEntries((task.animalIds ?? []).map((id) => [id, { mm: lesionOn(day, isFailing) }])),
        }
      default:
        return {}
    }
  }

  /** The planned dip, or another for corals that must not have it. */
  private dipFor(plan: CoursePlan, task: CourseTask): string {
    const planned = task.dip!.dip.id
    const bears = (id: string) => mayHaveDip(dipOf(this.journal, plan, task, id)).length > 0
    return bears(planned) ? planned : (CORAL_DIPS.find(({ id }) => bears(id))?.id ?? planned)
  }

  /** What a task tests, where it names nothing: the level it holds, the salinity, ammonia. */
  private testsOf(plan: CoursePlan, task: CourseTask): readonly string[] {
    return testsOfTask(task, plan)
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
          { at, tankId: task.tankId, animalIds: task.animalIds ?? [], courseId: this.courseId },
        ),
      ],
    }
  }

  /** Whether something that a due task waits for was just answered: a meal is watched, a word that only the keeper can give is given. */
  answerWaits(plan: CoursePlan, at: number): boolean {
    const waiting = plan.tasks.filter(
      ({ state, waitsFor, notBefore }) => state !== 'ahead' && waitsFor && notBefore <= at,
    )
    const blind = plan.rules.filter(
      ({ rule, state }) => state === 'unknown' && waiting.some(({ waitsFor }) => waitsFor!.includes(rule)),
    )
    let isTested = false
    for (const { id } of blind) {
      const row = this.definition.rules.find((one) => one.id === id)
      if (!row || !('left' in row.when) || typeof row.when.left !== 'object' || !('parameter' in row.when.left))
        continue
      if (row.role !== 'gate') continue
      this.test(MAIN, row.when.left.parameter, at)
      isTested = true
    }
    if (isTested) return true
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

  /** The second press of a finger that trembles: the same is kept again. */
  private pressAgain(plan: CoursePlan, task: CourseTask, at: number): void {
    if (task.act === 'read') for (const parameter of this.testsOf(plan, task)) this.test(task.tankId, parameter, at)
    const read = task.act === 'read' ? null : this.readTask(plan, task, at)
    if (read && 'contents' in read) for (const content of read.contents) this.write(content)
  }

  /** Does a task, again where the temperament presses twice, and says where its button led to nothing. */
  do(plan: CoursePlan, task: CourseTask, at: number): void {
    if (!this.act(plan, task, at)) {
      this.stuck.add(task.id)
      return
    }
    this.done.set(task.step, (this.done.get(task.step) ?? 0) + 1)
    if (this.temperament.pressesTwice?.(task) && this.plan(at).tasks.every(({ id }) => id !== task.id))
      this.pressAgain(plan, task, at)
    const after = this.plan(at)
    // What is left of a round is another dip.
    const rest = after.tasks.find(({ id, dip }) => id === task.id && dip)
    if (rest && task.dip && rest.dip!.hosts.length < task.dip.hosts.length) return this.do(after, rest, at)
    const again = after.tasks.find(({ id, state }) => id === task.id && state !== 'ahead')
    if (!again || task.act === 'close') return
    this.trouble(at, 'stuck', `${task.id} is still there after it was done: ${again.why}`)
    this.stuck.add(task.id)
  }

  /** When this keeper does a task, ms. */
  timeFor(task: CourseTask): number {
    return this.temperament.timeFor(task, this.seed)
  }
}

/** What is counted is shared out among the parts; a score is each one's own. */
const shareOf = (value: number, i: number, parts: number, task: CourseTask): number =>
  measureScale(task.measure!).entry === 'named' ? value : Math.floor(value / parts) + (i < value % parts ? 1 : 0)
