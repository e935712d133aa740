import equal from 'fast-deep-equal'
import {
  isCorrection,
  isStrikeOut,
  type Content,
  type ContentKind,
  type ContentOf,
  type Correction,
  type Entry,
  type Recorded,
} from './entry.ts'
import { subjectsOf, type Subject } from './subjects.ts'

/** An entry as it stands now: with its latest correction, and whether it is struck out. */
export interface Line<C extends Content = Content> {
  readonly id: string
  /** The content that holds. */
  readonly content: C
  /** When it happened, ms. */
  readonly at: number
  /** When it was first written down. */
  readonly logged: string
  readonly struck: boolean
  /** Why it was struck, where that was said. */
  readonly why?: string
  /** Whether a correction holds in place of what was first written. */
  readonly corrected: boolean
  /** The newest correction or strike-out that still counts: striking that one takes it back. */
  readonly amendedBy: string | null
}

export interface AddReport {
  added: Entry[]
  /** Entries that were here already, letter for letter. */
  same: number
  /** The same id with other content: neither overwrites the other. */
  conflicts: { kept: Entry; came: Entry }[]
}

interface Slot {
  entry: Entry
  line: Line | null
}

class LineList {
  readonly lines: Line[] = []
  revision = 0
}

/** Total order of the fold: when it happened, when it was logged, id. */
function compare(a: Line, b: Line): number {
  return a.at - b.at || (a.logged < b.logged ? -1 : a.logged > b.logged ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
}

/** Where a line stands, or would stand, in an ordered list. */
function placeOf(lines: readonly Line[], line: Line): number {
  // Nearly every entry is newer than all before it.
  const last = lines[lines.length - 1]
  if (!last || compare(last, line) < 0) return lines.length
  let low = 0
  let high = lines.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (compare(lines[middle]!, line) < 0) low = middle + 1
    else high = middle
  }
  return low
}

/** Index of the first line at or after an instant. */
export function firstAtOrAfter(lines: readonly Line[], at: number): number {
  let low = 0
  let high = lines.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (lines[middle]!.at < at) low = middle + 1
    else high = middle
  }
  return low
}

/** Up to so many lines are put in, or taken out, one by one; more are sorted in together. */
const FEW = 8

function takeOut(list: LineList, lines: ReadonlySet<Line>): void {
  list.revision++
  if (lines.size > FEW) {
    const left = list.lines.filter((line) => !lines.has(line))
    list.lines.length = 0
    for (const line of left) list.lines.push(line)
    return
  }
  for (const line of lines) {
    const place = placeOf(list.lines, line)
    if (list.lines[place] === line) list.lines.splice(place, 1)
  }
}

function putIn(list: LineList, lines: readonly Line[]): void {
  list.revision++
  if (lines.length > FEW) {
    for (const line of lines) list.lines.push(line)
    list.lines.sort(compare)
  } else for (const line of lines) list.lines.splice(placeOf(list.lines, line), 0, line)
}

/** The entry that a correction or a strike-out names; null for a first entry. */
const targetOf = (entry: Entry): string | null =>
  isStrikeOut(entry) ? entry.strikes : isCorrection(entry) ? entry.corrects : null

const byLogged = (a: Entry, b: Entry) => (a.logged < b.logged ? -1 : a.logged > b.logged ? 1 : a.id < b.id ? -1 : 1)

/**
 * The household's journal in memory: an append-only set of entries and, kept up to date with each one, the lines they
 * amount to, by subject and in order. What it holds depends only on which entries it was given, never on their order of
 * coming. A correction replaces content; of two, the later logged holds (ties: the greater id); a strike-out logged after
 * them strikes the line; a strike-out that is itself struck no longer counts, nor does a struck correction.
 */
export class Journal {
  #slots = new Map<string, Slot>()
  /** Corrections and strike-outs by the entry they name; also for entries not here yet. */
  #amendments = new Map<string, Entry[]>()
  #lists = new Map<Subject, LineList>()
  #cache = new Map<string, { lists: readonly LineList[]; revisions: number[]; value: unknown }>()
  #revision = 0
  #newestLogged: string | null = null

  /** Rises with every entry taken in. */
  get revision(): number {
    return this.#revision
  }

  /** How many entries there are, corrections and strike-outs included. */
  get size(): number {
    return this.#slots.size
  }

  /** When the first entry was written down; null for an empty journal. */
  get firstLogged(): string | null {
    let first: string | null = null
    for (const { entry } of this.#slots.values()) if (first === null || entry.logged < first) first = entry.logged
    return first
  }

  /** Every entry as written, in the order they were logged. */
  entries(): Entry[] {
    return [...this.#slots.values()].map(({ entry }) => entry).sort(byLogged)
  }

  entry(id: string): Entry | undefined {
    return this.#slots.get(id)?.entry
  }

  /** The line an entry amounts to; undefined for corrections, strike-outs and ids not here. */
  line(id: string): Line | undefined {
    return this.#slots.get(id)?.line ?? undefined
  }

  /** The corrections and strike-outs of an entry, in the order they were logged. */
  amendments(id: string): readonly Entry[] {
    return this.#amendments.get(id) ?? []
  }

  /** All lines about a subject, struck ones too, in the order they happened. */
  about(subject: Subject): readonly Line[] {
    return this.#list(subject).lines
  }

  /** The lines of one kind that count (not struck), in the order they happened. */
  ofKind<K extends ContentKind>(kind: K): readonly Line<ContentOf<K>>[] {
    return this.derive(`of-kind:${kind}`, [`kind:${kind}`], () =>
      this.about(`kind:${kind}`).filter((line): line is Line<ContentOf<K>> => !line.struck),
    )
  }

  /**
   * Something worked out from the lines of some subjects, kept until one of those lists changes.
   * @param name what is worked out; with its subjects it names the answer
   */
  derive<T>(name: string, subjects: readonly Subject[], compute: () => T): T {
    const known = this.#cache.get(name)
    if (known?.lists.every((list, i) => list.revision === known.revisions[i])) return known.value as T
    const lists = subjects.map((subject) => this.#list(subject))
    const value = compute()
    this.#cache.set(name, { lists, revisions: lists.map(({ revision }) => revision), value })
    return value
  }

  /** When the newest entry was logged; null while there is none. */
  get newestLogged(): string | null {
    return this.#newestLogged
  }

  /**
   * Takes entries in. Those already here count as `same`; a different entry of a known id is reported and not taken. Costs
   * n log n for n entries, in whatever order they come.
   */
  add(entries: Iterable<Entry>): AddReport {
    const report: AddReport = { added: [], same: 0, conflicts: [] }
    for (const entry of entries) {
      const known = this.#slots.get(entry.id)
      if (known) {
        if (equal(known.entry, entry)) report.same++
        else report.conflicts.push({ kept: known.entry, came: entry })
        continue
      }
      this.#slots.set(entry.id, { entry, line: null })
      if (this.#newestLogged === null || entry.logged > this.#newestLogged) this.#newestLogged = entry.logged
      report.added.push(entry)
    }
    if (report.added.length > 0) this.#settle(this.#touchedBy(report.added))
    return report
  }

  /** Notes the corrections and strike-outs among new entries; answers the first entries whose lines change by any of them. */
  #touchedBy(added: readonly Entry[]): Set<string> {
    const touched = new Set<string>()
    const amended = new Set<string>()
    for (const entry of added) {
      this.#revision++
      const target = targetOf(entry)
      if (target === null) {
        touched.add(entry.id)
        continue
      }
      const amendments = this.#amendments.get(target)
      if (amendments) amendments.push(entry)
      else this.#amendments.set(target, [entry])
      amended.add(target)
    }
    for (const target of amended) {
      this.#amendments.get(target)!.sort(byLogged)
      touched.add(target)
      // A strike-out may name a correction or a strike-out: then what that one named stands again.
      const named = this.#slots.get(target)?.entry
      const root = named && targetOf(named)
      if (root) touched.add(root)
    }
    return touched
  }

  #isVoid(amendment: Entry): boolean {
    return this.amendments(amendment.id).some((by) => isStrikeOut(by))
  }

  /** Works the lines of first entries out again and puts them where they belong. */
  #settle(ids: Iterable<string>): void {
    const gone = new Map<LineList, Set<Line>>()
    const come = new Map<LineList, Line[]>()
    for (const id of ids) {
      const slot = this.#slots.get(id)
      if (!slot || targetOf(slot.entry) !== null) continue
      if (slot.line)
        for (const subject of subjectsOf(slot.line.content)) {
          const list = this.#list(subject)
          const lines = gone.get(list)
          if (lines) lines.add(slot.line)
          else gone.set(list, new Set([slot.line]))
        }
      slot.line = this.#lineOf(slot.entry as Recorded)
      for (const subject of subjectsOf(slot.line.content)) {
        const list = this.#list(subject)
        const lines = come.get(list)
        if (lines) lines.push(slot.line)
        else come.set(list, [slot.line])
      }
    }
    for (const [list, lines] of gone) takeOut(list, lines)
    for (const [list, lines] of come) putIn(list, lines)
  }

  /** The line a first entry amounts to with its corrections and strike-outs. */
  #lineOf(entry: Recorded): Line {
    const { id } = entry
    const kind = entry.content.kind
    const standing = this.amendments(id).filter(
      (amendment) =>
        !this.#isVoid(amendment) && (isStrikeOut(amendment) || (amendment as Correction).content.kind === kind),
    )
    const newest = standing[standing.length - 1]
    const correction = standing.findLast(isCorrection)
    const content = correction?.content ?? entry.content
    const struck = newest !== undefined && isStrikeOut(newest)
    return {
      id,
      content,
      at: Date.parse(content.happened),
      logged: entry.logged,
      struck,
      ...(struck && newest.why !== undefined && { why: newest.why }),
      corrected: correction !== undefined,
      amendedBy: newest?.id ?? null,
    }
  }

  #list(subject: Subject): LineList {
    let list = this.#lists.get(subject)
    if (!list) this.#lists.set(subject, (list = new LineList()))
    return list
  }
}
