import { cellKind } from '../catalogue/microscope/cell-kinds.data.ts'
import type { CellBody, CellKind, CellKindId, Span } from '../catalogue/microscope/microscope.types.ts'
import { RandomStream } from '../numbers/random.ts'

/** A cell of a field. Lengths in µm, angles in radians, times in seconds; changed in place by `moveCells`. */
export interface Cell {
  kind: CellKindId
  body: CellBody
  lengthUm: number
  widthUm: number
  x: number
  y: number
  /** Where its front points. */
  heading: number
  /** Own speed, µm/s; 0 for one that rests. */
  speedUmPerS: number
  /** Turning, radians a second: a loop, a spin, or a slow bend of its course. */
  turnPerS: number
  /** The point it is tied to; null for one that is free. */
  tether: { x: number; y: number } | null
  /** Seconds until it takes a new course; Infinity for one that keeps it. */
  turnsIn: number
  /** Its own time, s: for what swings or beats. */
  phase: number
}

/** A square of water under the microscope. What leaves it on one side comes back on the other. */
export interface CellField {
  sideUm: number
  cells: Cell[]
  random: RandomStream
}

/** A number between two, from a stream. */
const between = (random: RandomStream, [least, most]: Span): number => least + (most - least) * random.next()

/** The span that is drawn of a kind's lengths, µm. */
export const drawnLengths = (kind: CellKind): Span => kind.drawnLengthUm ?? kind.lengthUm

function widthOf(kind: CellKind, lengthUm: number, random: RandomStream): number {
  const span = kind.drawnWidthUm ?? kind.widthUm
  if (!span) return lengthUm * between(random, kind.widthShare ?? [1, 1])
  // A chain is as wide as it is, however long; a single cell's width goes with its length.
  if (kind.drawnWidthUm) return between(random, span)
  const [least, most] = drawnLengths(kind)
  return span[0] + ((span[1] - span[0]) * (lengthUm - least)) / (most - least)
}

/** Bends of a slow course, and loose cells' spirals, radians a second (assumed). */
const SLOW_BEND = 0.5
const LOOSE_BEND = 1.6

function newCell(id: CellKindId, place: { from: number; side: number }, random: RandomStream): Cell {
  const kind = cellKind(id)
  const { motion } = kind
  const lengthUm = between(random, drawnLengths(kind))
  const either = random.next() < 0.5 ? 1 : -1
  const cell: Cell = {
    kind: id,
    body: kind.bodies[Math.floor(random.next() * kind.bodies.length)]!,
    lengthUm,
    widthUm: widthOf(kind, lengthUm, random),
    x: place.from + random.next() * place.side,
    y: place.from + random.next() * place.side,
    heading: random.next() * 2 * Math.PI,
    speedUmPerS: 0,
    turnPerS: 0,
    tether: null,
    turnsIn: Infinity,
    phase: random.next() * 10,
  }
  if (cell.body === 'disc') cell.widthUm = lengthUm
  switch (motion.way) {
    case 'rests':
      break
    case 'glides':
      if (random.next() >= motion.restingShare) cell.speedUmPerS = between(random, motion.speedUmPerS)
      break
    case 'sways':
      cell.speedUmPerS = between(random, motion.speedUmPerS)
      break
    case 'wanders':
      if (random.next() >= motion.restingShare) cell.speedUmPerS = between(random, motion.speedUmPerS)
      cell.turnPerS = cell.speedUmPerS > 0 ? SLOW_BEND * (random.next() - 0.5) : 0
      break
    case 'loops':
      cell.speedUmPerS = between(random, motion.speedUmPerS)
      cell.turnPerS = (either * cell.speedUmPerS) / between(random, motion.loopUm)
      break
    case 'darts':
      cell.speedUmPerS = between(random, motion.speedUmPerS)
      cell.turnsIn = motion.turnEveryS * random.next()
      break
    case 'tethered':
      if (random.next() < motion.freeShare) {
        cell.speedUmPerS = between(random, motion.freeSpeedUmPerS)
        cell.turnPerS = either * LOOSE_BEND
      } else {
        cell.tether = { x: cell.x, y: cell.y }
        cell.turnPerS = either * 2 * Math.PI * between(random, motion.turnsPerS)
        placeOnTether(cell)
      }
  }
  return cell
}

/** A tied cell has its tip at the tether: its middle lies half a length from there. */
function placeOnTether(cell: Cell): void {
  if (!cell.tether) return
  cell.x = cell.tether.x + (cell.lengthUm / 2) * Math.cos(cell.heading)
  cell.y = cell.tether.y + (cell.lengthUm / 2) * Math.sin(cell.heading)
}

/**
 * A field of cells, the same for the same seed. The first of each kind lies near the middle, so that one is seen at once.
 * @param mix how many of each kind
 * @param sideUm side of the square, µm
 * @param middleUm side of the square in the middle where the first of each kind lies, µm
 */
export function createField(
  mix: readonly { kind: CellKindId; count: number }[],
  sideUm: number,
  seed: number,
  middleUm = sideUm,
): CellField {
  const random = new RandomStream(seed)
  // A grain in the middle would lie on what is looked for.
  const isLookedFor = (kind: CellKindId) => mix.length === 1 || cellKind(kind).tally !== null
  const anywhere = { from: 0, side: sideUm }
  const middle = { from: (sideUm - middleUm) / 2, side: middleUm }
  const cells = mix.flatMap(({ kind, count }) =>
    Array.from({ length: count }, (_, i) => newCell(kind, i === 0 && isLookedFor(kind) ? middle : anywhere, random)),
  )
  return { sideUm, cells, random }
}

/** How far a cell looks round when it takes a new course, radians either way (assumed). */
const NEW_COURSE = 2.4
/** Longest step that is worked out at once, s: a page that slept does not jump. */
const LONGEST_STEP_S = 0.1

/** Moves every cell on by some seconds, at most 0.1. */
export function moveCells({ cells, sideUm, random }: CellField, seconds: number): void {
  const step = Math.min(seconds, LONGEST_STEP_S)
  for (const cell of cells) {
    cell.phase += step
    if (cell.speedUmPerS === 0 && cell.tether === null) continue
    cell.turnsIn -= step
    if (cell.turnsIn <= 0) {
      const { motion } = cellKind(cell.kind)
      cell.heading += NEW_COURSE * (2 * random.next() - 1)
      if (motion.way === 'darts') {
        cell.speedUmPerS = between(random, motion.speedUmPerS)
        cell.turnsIn = motion.turnEveryS * (0.4 + 1.2 * random.next())
      }
    }
    cell.heading += cell.turnPerS * step
    if (cell.tether) placeOnTether(cell)
    else {
      cell.x = wrapped(cell.x + cell.speedUmPerS * Math.cos(cell.heading) * step, sideUm)
      cell.y = wrapped(cell.y + cell.speedUmPerS * Math.sin(cell.heading) * step, sideUm)
    }
  }
}

const wrapped = (at: number, side: number): number => ((at % side) + side) % side

/**
 * The way each cell goes in some seconds, for a still picture of the motion.
 * @returns a list of points a cell, µm, the first where it is now
 */
export function traces(field: CellField, seconds: number, points = 10): { x: number; y: number }[][] {
  const copy: CellField = {
    ...field,
    cells: field.cells.map((cell) => ({ ...cell, tether: cell.tether && { ...cell.tether } })),
    random: new RandomStream(field.cells.length),
  }
  const found = copy.cells.map(({ x, y }) => [{ x, y }])
  const pieces = Math.max(points, Math.ceil(seconds / LONGEST_STEP_S))
  for (let i = 0; i < pieces; i++) {
    moveCells(copy, seconds / pieces)
    copy.cells.forEach(({ x, y }, cell) => found[cell]!.push({ x, y }))
  }
  return found
}
