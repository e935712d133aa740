import type { CellBody } from '../catalogue/microscope/microscope.types.ts'
import { RandomStream } from '../numbers/random.ts'

/** Points round a body; x along it, front at +0.5, y across it: a box of 1 × 1. */
export type Outline = readonly (readonly [x: number, y: number])[]

const POINTS = 48

/** Puts points into the box of 1 × 1, whatever a formula made of them: a drawn cell is as long as its length says. */
function boxed(points: readonly (readonly [number, number])[]): Outline {
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  return points.map(([x, y]) => [(x - left) / (right - left) - 0.5, (y - top) / (bottom - top) - 0.5] as const)
}

/** Round a centre: the distance at an angle. */
const polar = (distance: (angle: number) => number): Outline =>
  boxed(
    Array.from({ length: POINTS }, (_, i) => {
      const angle = (i / POINTS) * 2 * Math.PI
      return [distance(angle) * Math.cos(angle), distance(angle) * Math.sin(angle)] as const
    }),
  )

/** Along an axis: the half width at a share of the length, 0 at the rear and 1 at the front. */
function along(half: (share: number) => number): Outline {
  // Closer together towards both ends, where an outline bends most.
  const shares = Array.from({ length: POINTS / 2 + 1 }, (_, i) => (1 - Math.cos((Math.PI * i) / (POINTS / 2))) / 2)
  return boxed([
    ...shares.map((share) => [share, half(share)] as const),
    ...[...shares].reverse().map((share) => [share, -half(share)] as const),
  ])
}

const GRAIN_CORNERS = 7
const GRAIN_SEED = 11

/** An angular grain: corners at uneven distances. */
function grain(): Outline {
  const random = new RandomStream(GRAIN_SEED)
  return boxed(
    Array.from({ length: GRAIN_CORNERS }, (_, i) => {
      const angle = ((i + 0.5 * random.next()) / GRAIN_CORNERS) * 2 * Math.PI
      const far = 0.72 + 0.28 * random.next()
      return [far * Math.cos(angle), far * Math.sin(angle)] as const
    }),
  )
}

const round = polar(() => 1)
const stick = along((share) => (share === 0 || share === 1 ? 0.82 : 1))

/** The outline of each body, in a box of 1 × 1: what is drawn is this, stretched to length and width. */
export const OUTLINES: Readonly<Record<CellBody, Outline>> = {
  boat: along((share) => Math.sin(Math.PI * share) ** 0.75),
  stick,
  disc: round,
  chain: stick,
  thread: stick,
  // The tip towards the tether is the rear.
  tear: along((share) => share ** 1.05 * (1 - share) ** 0.5),
  // A dent at the front.
  notched: polar((angle) => {
    const off = Math.atan2(Math.sin(angle), Math.cos(angle))
    return 1 - 0.24 * Math.exp(-((off / 0.26) ** 2)) - 0.08 * Math.cos(off)
  }),
  oblique: polar((angle) => 1 + 0.06 * Math.cos(2 * angle - 0.9)),
  // A bump at the front, off its middle: the beak bends to one side.
  beaked: polar((angle) => {
    const off = Math.atan2(Math.sin(angle - 0.22), Math.cos(angle - 0.22))
    return 1 + 0.3 * Math.exp(-((off / 0.2) ** 2))
  }),
  lens: round,
  colony: round,
  ciliate: along((share) => Math.sin(Math.PI * share ** 0.85) ** 0.55),
  grain: grain(),
  'green-ball': round,
}
